import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { createSeededRandom } from '@sardonyx/core';
import { BenchClient } from '../../packages/server/test/support/kill/benchClient.ts';
import { chooseAct, isAcknowledged } from '../../packages/server/test/support/kill/acts.ts';
import { drawPictures, putLorryOnBench } from '../../packages/server/test/support/kill/killRounds.ts';
import { openLedger } from '../../packages/server/test/support/kill/ledger.ts';
import { startServer } from '../../packages/server/test/support/startServer.ts';
import type { Topic } from '../figure.ts';

const ACTS = 400;
const READS = 40;

/** Whether the disk was told to keep what was acknowledged: counted where the process calls the system. */
export const trustSyncs: Topic = {
  names: ['trust.syncsPerAck'],
  measure: async () => {
    const folder = await mkdtemp(join(tmpdir(), 'sardonyx-syncs-'));
    const [library, counter] = [join(folder, 'countSyncs.so'), join(folder, 'count')];
    const source = resolve(import.meta.dirname, 'countSyncs.c');
    execFileSync('cc', ['-shared', '-fPIC', '-O2', '-o', library, source, '-ldl']);
    writeFileSync(counter, Buffer.alloc(8));
    const count = () => Number(readFileSync(counter).readBigUInt64LE());
    const server = await startServer(join(folder, 'bench'), { LD_PRELOAD: library, SYNC_COUNT: counter });
    try {
      const client = new BenchClient(server.address);
      const [at, ledger, random] = [await putLorryOnBench(client), openLedger(), createSeededRandom(5)];
      const pictures = await drawPictures(5);
      await assertReadingSyncsNothing(client, count);
      let [acknowledged, synced, all] = [0, 0, 0];
      for (let i = 0; i < ACTS; i++) {
        const act = chooseAct(random, `act ${i}`, at, ledger, pictures);
        const before = count();
        const reply = await act.send(client);
        const syncs = count() - before;
        if (!isAcknowledged(reply)) throw new Error(`"${act.name}" was answered ${reply?.status}`);
        act.note(ledger, reply!.body);
        acknowledged++;
        all += syncs;
        if (syncs > 0) synced++;
      }
      return [
        {
          ...{ name: 'trust.syncsPerAck', value: synced / acknowledged, unit: '' },
          goal: { kind: 'at least', value: 1 },
          yardstick: `share of ${acknowledged} acknowledged writes with a sync between question and answer; ${(all / acknowledged).toFixed(1)} syncs each`,
        },
      ];
    } finally {
      await server.kill();
      await rm(folder, { recursive: true, force: true });
    }
  },
};

/** The count must come from the writes. */
async function assertReadingSyncsNothing(client: BenchClient, count: () => number): Promise<void> {
  const before = count();
  for (let i = 0; i < READS; i++) await client.send('GET', 'shelf', undefined);
  if (count() !== before) throw new Error('Reading synced something: the count says nothing of writes.');
}
