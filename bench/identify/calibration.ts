import { learnRates } from '../../packages/core/src/identify/learnRates.ts';
import { calibrate, drawSettled, type Calibration } from '../../packages/core/test/support/calibrate.ts';
import {
  createNominalWorld,
  createScaledWorld,
  createSimulatedCatalogue,
  type DrawnWorld,
} from '../../packages/core/test/support/simulatedCatalogue.ts';
import type { IdentifyCatalogue } from '../../packages/core/src/identify/catalogue.ts';
import type { Topic } from '../figure.ts';

const SPECIMENS = 10_000;
const VARIANTS = 400;
/** How many times as often as stated models are altered and readings wrong. */
const OFF = [2, 0.5] as const;
/** Settled specimens that rates are learned from; the goal is for the last. */
const SETTLED = [0, 15, 50] as const;

export const calibration: Topic = {
  names: [
    'identify.ece',
    'identify.eceUntouched',
    'identify.untouchedAllLooks',
    'identify.coverage90',
    'identify.coverage90Unlisted',
    'identify.coverage90UnlistedAlone',
    'identify.top1',
    'identify.alteredAuc',
    'identify.learnedRates0',
    'identify.learnedRates15',
    'identify.learnedRates',
  ],
  measure: () => {
    const stated = createSimulatedCatalogue(2026, { variants: VARIANTS });
    const world = createNominalWorld(stated);
    const right = calibrate({ specimens: SPECIMENS, seed: 1 }, stated, world);
    const all = calibrate({ specimens: SPECIMENS, seed: 4, looks: stated.features.length }, stated, world);
    const unlisted = (nonePrior: number) => calibrate({ specimens: SPECIMENS / 2, seed: 5, nonePrior }, stated, world);
    const learned = SETTLED.map((count) =>
      OFF.map((factor) => tryLearned(count, stated, createScaledWorld(stated, factor))),
    );
    const worst = (one: readonly Calibration[]) =>
      Math.max(...one.flatMap(({ ece, eceUntouched }) => [ece, eceUntouched]));
    const covered = [right, all, ...learned.at(-1)!.flat()].map(({ coverage90 }) => coverage90);
    const how = `${SPECIMENS} simulated specimens, ${VARIANTS} variants, 1 to 24 looks each`;
    const over = 'expected calibration error over what chance explains';
    const off = `worst of leading variant and "untouched", few looks and all of them, true rates x2 and x0.5; ${over}`;
    const figure = (name: string, value: number, most: number | null, yardstick: string) => ({
      name,
      value,
      unit: '',
      goal: most === null ? null : ({ kind: 'at most', value: most } as const),
      yardstick,
    });
    return Promise.resolve([
      figure('identify.ece', right.ece, 0.006, `leading variant, ${over}; ${how}`),
      figure('identify.eceUntouched', right.eceUntouched, 0.006, `"untouched", ${over}; ${how}`),
      figure('identify.untouchedAllLooks', all.eceUntouched, 0.006, `"untouched" with all 24 looks, ${over}`),
      {
        name: 'identify.coverage90',
        // The one that is farthest off: too narrow and too wide are both wrong.
        value: covered.reduce((a, b) => (Math.abs(b - 0.9) > Math.abs(a - 0.9) ? b : a)),
        unit: '',
        goal: { kind: 'within', least: 0.885, most: 0.915 },
        yardstick: `true dates in the 90 % region, the farthest off of ${covered.length} worlds: as stated, all looks, learned from 50; ${how}`,
      },
      {
        name: 'identify.coverage90Unlisted',
        value: unlisted(0.1).coverage90,
        unit: '',
        goal: { kind: 'at least', value: 0.87 },
        yardstick: 'true dates in the 90 % region where one specimen in ten is of no variant, five times as believed',
      },
      figure(
        'identify.coverage90UnlistedAlone',
        unlisted(1).coverage90,
        null,
        'the same, of the unlisted alone: nothing can promise it',
      ),
      figure('identify.top1', right.top1, null, `leading variant right; ${how}`),
      figure('identify.alteredAuc', right.alteredAuc, null, `altered parts found, area under the curve; ${how}`),
      figure('identify.learnedRates0', worst(learned[0]!.flat()), null, `${off}; nothing learned`),
      figure('identify.learnedRates15', worst(learned[1]!.flat()), null, `${off}; after 15 settled specimens`),
      figure('identify.learnedRates', worst(learned[2]!.flat()), 0.035, `${off}; after 50 settled specimens`),
    ]);
  },
};

/** With a random number of looks, and with all of them. */
function tryLearned(count: number, stated: IdentifyCatalogue, world: DrawnWorld): Calibration[] {
  const rates = learnRates(drawSettled(count, 90 + count, stated, world));
  return [undefined, stated.features.length].map((looks) =>
    calibrate({ specimens: SPECIMENS / 2, seed: 6, rates, ...(looks ? { looks } : {}) }, stated, world),
  );
}
