import { setFlagsFromString } from 'node:v8';
import { median, percentile, type Topic } from '../figure.ts';
import { startTsWorker } from '../../packages/server/src/startTsWorker.ts';
import type { UpdateTimes } from './updateWorker.ts';

const SIZES = [
  [12_500, 120],
  [20_000, 120],
  [50_000, 120],
  [500_000, 12],
] as const;

export const speed: Topic = {
  names: [
    'identify.update50kMs',
    'identify.update50kP95Ms',
    'identify.update20kMs',
    'identify.growth',
    'identify.memory50kMb',
    'identify.update500kMs',
  ],
  measure: async () => {
    const [small, most, middle, large] = await runWorker();
    const how = (times: UpdateTimes) =>
      `one answer changed: posterior, date, evidence and next look, ${times.variants} variants x 24 features, in a worker, ${times.times.length} rounds`;
    return [
      figure('identify.update50kMs', median(middle!.times), 16, `median; ${how(middle!)}`),
      figure('identify.update50kP95Ms', percentile(middle!.times, 0.95), 24, `95 of 100; ${how(middle!)}`),
      figure(
        'identify.update20kMs',
        median(most!.times),
        16,
        `median; no list complete, so that every issue has an unlisted sibling; ${how(most!)}`,
      ),
      {
        ...figure(
          'identify.growth',
          median(middle!.times) / median(small!.times),
          4.5,
          'median at 50,000 against 12,500',
        ),
        unit: '',
      },
      {
        name: 'identify.memory50kMb',
        value: middle!.megabytes,
        unit: 'MB',
        goal: null,
        yardstick: 'catalogue of 50,000 variants with its identifier, heap and buffers',
      },
      { ...figure('identify.update500kMs', median(large!.times), 0, `median; ${how(large!)}`), goal: null },
    ];
  },
};

const figure = (name: string, value: number, most: number, yardstick: string) =>
  ({ name, value, unit: 'ms', goal: { kind: 'at most', value: most }, yardstick }) as const;

async function runWorker(): Promise<UpdateTimes[]> {
  // Memory is counted after a collection.
  setFlagsFromString('--expose-gc');
  const worker = startTsWorker(new URL('./updateWorker.ts', import.meta.url), {
    workerData: { sizes: SIZES },
    resourceLimits: { maxOldGenerationSizeMb: 4096 },
  });
  const got: UpdateTimes[] = [];
  await new Promise<void>((done, fail) => {
    worker.on('message', (times: UpdateTimes) => {
      got.push(times);
      if (got.length === SIZES.length) done();
    });
    worker.once('error', fail);
  });
  await worker.terminate();
  return got;
}
