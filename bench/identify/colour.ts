import { calibrateColour, type ColourCalibration } from '../../packages/core/test/support/calibrateColour.ts';
import type { Topic } from '../figure.ts';

const SPECIMENS = 3_000;
/** Scale of the fading in these worlds; assuming twice as much is the mistake that is made on purpose. */
const TRUE_FADING = 3;

/** Which of a few nearly alike colours it is, by capturing it. */
export const colourAnswers: Topic = {
  names: ['identify.colourTop1', 'identify.colourEce'],
  measure: () => {
    const worlds = [2, 3, 4].flatMap((states) =>
      [2, 4, 8].flatMap((gap) => [1, 0.5].map((capture) => ({ states, gap, capture }))),
    );
    const tryAll = (assumedFading: number, ofOneModel: number) =>
      worlds.map((world, i) =>
        calibrateColour({ ...world, assumedFading, ofOneModel, specimens: SPECIMENS, seed: 31 + i }),
      );
    const [rightly, tooStrong] = [tryAll(TRUE_FADING, 0), tryAll(2 * TRUE_FADING, 0)];
    const offModels = tryAll(TRUE_FADING, 1);
    const top1 = (cases: readonly ColourCalibration[]) =>
      Math.min(...cases.map(({ right, bestRight }) => right / bestRight));
    const ece = (cases: readonly ColourCalibration[]) => Math.max(...cases.map((one) => one.ece));
    const how = `2 to 4 states, 2, 4 and 8 dE00 apart, batch 0.7, capture 1 and 0.5, fading to 6 and more; ${SPECIMENS} models each`;
    return Promise.resolve([
      {
        ...{ name: 'identify.colourTop1', unit: '', goal: { kind: 'at least', value: 0.97 } as const },
        value: top1(rightly),
        yardstick: `share right over that of a classifier which knows the world, worst of 18 cases; ${how}; ${top1(offModels).toFixed(3)} where every state is known off one model only`,
      },
      {
        ...{ name: 'identify.colourEce', unit: '', goal: { kind: 'at most', value: 0.015 } as const },
        value: Math.max(ece(rightly), ece(tooStrong)),
        yardstick: `over the sampling floor, worst of the same cases, fading rightly assumed and twice too strong; ${ece(offModels).toFixed(3)} where every state is known off one model only, whose errors drive two that are 2 apart further apart`,
      },
    ]);
  },
};
