import { listPilotOptions } from '../../src/fit/pilot.ts';
import { THREAD_NAMES, type Thread } from '../../src/model/thread.ts';
import { drawNormal } from '../../src/numeric/drawNormal.ts';
import { createSeededRandom } from '../../src/numeric/seededRandom.ts';

export const LEAST_PILOT_WALL = 0.4;
/** A pilot may be so far off in an even post, and more. */
export const ALLOWANCE = 0.35;
const DIAMETERS: Readonly<Record<Thread, number>> = {
  ...{ 'M1.6': 1.6, M2: 2, 'M2.5': 2.5, M3: 3, '2-56': 2.184, '4-40': 2.845 },
};

export interface PilotCount {
  /** Told to go on. */
  readonly go: number;
  /** Of those, with a wall that is too thin in truth. */
  readonly unsafe: number;
  /** Of all, with a wall that is thick enough. */
  readonly safe: number;
}

/** Pilots beside the middle against where they truly are. */
export function countPilots(pilots: number, seed: number): PilotCount {
  const random = createSeededRandom(seed);
  let [go, unsafe, safe] = [0, 0, 0];
  for (let i = 0; i < pilots; i++) {
    const thread = THREAD_NAMES[Math.floor(THREAD_NAMES.length * random())]!;
    const post = DIAMETERS[thread] + 2 * (LEAST_PILOT_WALL + ALLOWANCE + 0.6 * random());
    const spread = 0.05 + 0.35 * random();
    const [x, y] = [spread * drawNormal(random), spread * drawNormal(random)];
    const [u, v] = [0.02 + 0.13 * random(), 0.01 + 0.03 * random()];
    const measured = Math.hypot(x + u * drawNormal(random), y + u * drawNormal(random));
    const wall = (post - DIAMETERS[thread]) / 2 - Math.hypot(x, y);
    if (wall >= LEAST_PILOT_WALL) safe++;
    const pilot = { post: { mm: post + v * drawNormal(random), sd: v }, offset: { mm: measured, sd: u }, hole: 1 };
    if (listPilotOptions(pilot, thread)[0]!.way !== 'go') continue;
    go++;
    if (wall < LEAST_PILOT_WALL) unsafe++;
  }
  return { go, unsafe, safe };
}
