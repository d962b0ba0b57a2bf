import { startTsWorker } from '../../packages/server/src/startTsWorker.ts';

/** Times, in ms, of straightening a picture of so many megapixels in a worker thread. */
export function timeRectifying(megapixels: number): Promise<number[]> {
  const worker = startTsWorker(new URL('./rectifyWorker.ts', import.meta.url), { workerData: { megapixels } });
  return new Promise((done, fail) => {
    worker.on('message', done);
    worker.on('error', fail);
  });
}
