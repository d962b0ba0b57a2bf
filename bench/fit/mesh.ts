import { ballMesh } from '../../packages/core/test/support/meshes.ts';
import { writeStl } from '../../packages/core/src/mesh/writeStl.ts';
import { startTsWorker } from '../../packages/server/src/startTsWorker.ts';
import { median, type Figure, type Topic } from '../figure.ts';

/** A printed part of usual size, read and measured beside the page. */
export const fitMesh: Topic = { names: ['fit.stlMs'], measure: async () => [await measureStl()] };

const ROUNDS = 9;
/** A shell of two balls: so many rings make 5 MB. */
const RINGS = 115;

async function measureStl(): Promise<Figure> {
  const shell = Float64Array.from([...ballMesh(20, RINGS), ...ballMesh(18.8, RINGS, true)]);
  const bytes = writeStl(shell);
  const worker = startTsWorker(new URL('./meshWorker.ts', import.meta.url), {});
  const times: number[] = [];
  let said = '';
  for (let i = 0; i < ROUNDS; i++) {
    const start = performance.now();
    said = await new Promise<string>((resolve, reject) => {
      worker.once('message', resolve).once('error', reject);
      worker.postMessage(bytes);
    });
    times.push(performance.now() - start);
  }
  await worker.terminate();
  return {
    ...{ name: 'fit.stlMs', value: median(times.slice(2)), unit: 'ms', goal: { kind: 'at most', value: 500 } },
    yardstick: `median; a binary STL file of ${(bytes.length / 2 ** 20).toFixed(1)} MB, ${shell.length / 9} triangles, read and measured in a worker: ${said}`,
  };
}
