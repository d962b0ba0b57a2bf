import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createSeededRandom } from '@sardonyx/core';
import type { FilledAndFreed } from './fillAndFree.ts';
import { chooseAct, isAcknowledged } from './kill/acts.ts';
import { BenchClient } from './kill/benchClient.ts';
import { drawPictures, putLorryOnBench } from './kill/killRounds.ts';
import { compareLedger, openLedger } from './kill/ledger.ts';
import { startServer } from './startServer.ts';

const SIZE = '16m';
const ACTS_A_ROUND = 25;
/** So much is left at most when a round begins. */
const LEAVE = 600_000;

/**
 * The real server on a small file system of its own that is filled and freed, round after round, and killed now and then. null
 * where this machine lets nobody make one (it takes root and Linux).
 */
export async function fillSmallDisk(seed: number, rounds: number): Promise<FilledAndFreed | null> {
  const disk = mkdtempSync(join(tmpdir(), 'sardonyx-disk-'));
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${SIZE}`, 'tmpfs', disk], { stdio: 'ignore' });
  } catch {
    rmSync(disk, { recursive: true, force: true });
    return null;
  }
  const start = () => startServer(join(disk, 'bench'), { SARDONYX_LOG: 'silent' });
  let server = await start();
  try {
    const random = createSeededRandom(seed);
    const at = await putLorryOnBench(new BenchClient(server.address));
    const [ledger, pictures] = [openLedger(), await drawPictures(seed)];
    const [lost, strange] = [[] as string[], [] as number[]];
    let [acknowledged, refused] = [0, 0];
    for (let round = 0; round < rounds; round++) {
      const client = new BenchClient(server.address);
      const filler = join(disk, 'filler');
      fill(filler, Math.floor(LEAVE * random()));
      for (let i = 0; i < ACTS_A_ROUND; i++) {
        const act = chooseAct(random, `act ${seed} ${round} ${i}`, at, ledger, pictures);
        const reply = await act.send(client);
        if (isAcknowledged(reply)) {
          acknowledged++;
          act.note(ledger, reply!.body);
        } else if (reply?.status === 507) refused++;
        else strange.push(reply?.status ?? 0);
      }
      rmSync(filler, { force: true });
      lost.push(...compareLedger(ledger, await client.find(at.jobId)));
      if (round % 10 === 9) {
        await server.kill();
        server = await start();
        lost.push(...compareLedger(ledger, await new BenchClient(server.address).find(at.jobId)));
      }
    }
    return { acknowledged, refused, lost, strange };
  } finally {
    await server.kill();
    execFileSync('umount', [disk]);
    rmSync(disk, { recursive: true, force: true });
  }

  function fill(path: string, leave: number): void {
    const { bavail, bsize } = statfsSync(disk);
    try {
      writeFileSync(path, Buffer.alloc(Math.max(0, bavail * bsize - leave)));
    } catch {
      // It is as full as it gets.
    }
  }
}
