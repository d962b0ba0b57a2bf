import { calibrate } from '../../packages/core/test/support/calibrate.ts';
import {
  createNominalWorld,
  createSimulatedCatalogue,
  createWrongWorld,
} from '../../packages/core/test/support/simulatedCatalogue.ts';
import type { Topic } from '../figure.ts';

const SPECIMENS = 10_000;
const VARIANTS = 400;

export const calibration: Topic = {
  names: [
    'identify.ece',
    'identify.eceUntouched',
    'identify.coverage90',
    'identify.top1',
    'identify.alteredAuc',
    'identify.eceWrongRates',
    'identify.eceUntouchedWrongRates',
    'identify.coverage90WrongRates',
  ],
  measure: () => {
    const believed = createSimulatedCatalogue(2026, { variants: VARIANTS });
    const right = calibrate(SPECIMENS, 1, believed, createNominalWorld(believed));
    const wrong = calibrate(SPECIMENS, 2, believed, createWrongWorld(believed));
    const how = `${SPECIMENS} simulated specimens, ${VARIANTS} variants, 1 to 24 looks each`;
    const twice = `${how}, alteration and misreading twice as frequent as believed`;
    const figure = (name: string, value: number, most: number, yardstick: string) =>
      ({ name, value, unit: '', goal: { kind: 'at most', value: most }, yardstick }) as const;
    const covered = (name: string, value: number, least: number, most: number, yardstick: string) =>
      ({ name, value, unit: '', goal: { kind: 'within', least, most }, yardstick }) as const;
    return Promise.resolve([
      figure('identify.ece', right.ece, 0.02, `leading variant, expected calibration error; ${how}`),
      figure('identify.eceUntouched', right.eceUntouched, 0.02, `"untouched"; ${how}`),
      covered('identify.coverage90', right.coverage90, 0.885, 0.915, `true dates in the 90 % region; ${how}`),
      { name: 'identify.top1', value: right.top1, unit: '', goal: null, yardstick: `leading variant right; ${how}` },
      {
        name: 'identify.alteredAuc',
        value: right.alteredAuc,
        unit: '',
        goal: null,
        yardstick: `altered parts found, area under the curve; ${how}`,
      },
      figure('identify.eceWrongRates', wrong.ece, 0.035, `leading variant; ${twice}`),
      figure('identify.eceUntouchedWrongRates', wrong.eceUntouched, 0.11, `"untouched"; ${twice}`),
      covered('identify.coverage90WrongRates', wrong.coverage90, 0.87, 0.925, `dates; ${twice}`),
    ]);
  },
};
