import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { killRounds, type Killed } from '../../packages/server/test/support/kill/killRounds.ts';
import type { Topic } from '../figure.ts';

const KILLS = 1000;
/** Kills of one bench, from an empty folder on. */
const EACH = 25;
const LANES = 2;
const MOST_MS = 40 * 60_000;

/** What was acknowledged by a server that was killed, and is not there. Goes on where it was left, on the same commit. */
export const trustKill: Topic = {
  names: ['trust.killLost'],
  measure: async () => {
    const file = join(tmpdir(), `sardonyx-kills-${readRevision()}.json`);
    const done = (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : {}) as Record<string, Killed>;
    const until = performance.now() + MOST_MS;
    let next = 0;
    const lane = async () => {
      for (let seed = ++next; seed <= KILLS / EACH && performance.now() < until; seed = ++next) {
        if (done[seed]) continue;
        const result = await killRounds(seed, EACH);
        for (const line of result.lost.slice(0, 3)) console.error(`seed ${seed}: ${line}`);
        done[seed] = result;
        writeFileSync(file, JSON.stringify(done));
      }
    };
    await Promise.all(Array.from({ length: LANES }, lane));
    const results = Object.values(done);
    const sum = (read: (one: Killed) => number) => results.reduce((total, one) => total + read(one), 0);
    const kills = sum((one) => one.kills);
    return [
      {
        ...{ name: 'trust.killLost', value: sum((one) => one.lost.length), unit: '' },
        goal: { kind: 'at most', value: 0 },
        yardstick: `${sum((one) => one.acknowledged)} acknowledged writes over ${kills} kills among writes, photographs, files, saves, restores and starts${kills < KILLS ? ` (of ${KILLS}: run it again to go on)` : ''}`,
      },
    ];
  },
};

/** The commit, if nothing was changed since. */
function readRevision(): string {
  const git = (...args: readonly string[]) => execFileSync('git', args, { encoding: 'utf8' }).trim();
  return git('status', '--porcelain') === '' ? git('rev-parse', '--short', 'HEAD') : String(Date.now());
}
