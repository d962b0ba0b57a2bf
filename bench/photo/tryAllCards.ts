import { startTsWorker } from '../../packages/server/src/startTsWorker.ts';
import type { CardTrials } from './tryCards.ts';

/** Drawing the pictures takes most of the time: half of them in each of two threads. */
export async function tryAllCards(count: number): Promise<CardTrials> {
  const half = Math.ceil(count / 2);
  const [a, b] = await Promise.all([tryHere(half, 1), tryHere(count - half, half + 1)]);
  const sum = (of: (one: CardTrials) => number) => of(a) + of(b);
  return {
    count: sum((one) => one.count),
    wrong: sum((one) => one.wrong),
    inSight: sum((one) => one.inSight),
    found: sum((one) => one.found),
    measured: sum((one) => one.measured),
    covered: sum((one) => one.covered),
    ms: [...a.ms, ...b.ms],
  };
}

function tryHere(count: number, from: number): Promise<CardTrials> {
  const worker = startTsWorker(new URL('./cardWorker.ts', import.meta.url), { workerData: { count, from } });
  return new Promise((done, fail) => {
    worker.on('message', done);
    worker.on('error', fail);
  });
}
