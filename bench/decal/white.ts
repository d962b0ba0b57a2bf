import { computeDe00 } from '../../packages/core/src/colour/difference.ts';
import { judgeInk, USUAL_TOLERANCE } from '../../packages/core/src/decal/white/judgeWhite.ts';
import { createSeededRandom } from '../../packages/core/src/numeric/seededRandom.ts';
import { BODY_PAINTS, printSample, USUAL_PAPER } from '../../packages/core/test/support/simulatedPrinter.ts';
import type { Topic } from '../figure.ts';

const SAMPLES = 500;

/** Whether an ink needs white under it, on printers, papers and films that differ. */
export const decalWhite: Topic = {
  names: ['decal.whiteWrong', 'decal.whiteCalled'],
  measure: () => {
    const random = createSeededRandom(210);
    let [all, called, wrong] = [0, 0, 0];
    for (let i = 0; i < SAMPLES; i++) {
      const sample = printSample(random);
      for (const paint of Object.values(BODY_PAINTS)) {
        all++;
        const { answer } = judgeInk(sample.onPaper, paint, { tolerance: USUAL_TOLERANCE, paper: USUAL_PAPER });
        if (answer === 'test strip') continue;
        called++;
        if ((answer === 'white') !== computeDe00(sample.seen, sample.seenOver(paint)) > USUAL_TOLERANCE) wrong++;
      }
    }
    return Promise.resolve([
      {
        ...{
          name: 'decal.whiteWrong',
          value: wrong / called,
          unit: '',
          goal: { kind: 'at most', value: 0.005 } as const,
        },
        yardstick: `of those called; ${SAMPLES} inks of a simulated printer (halftones, dyes within 12 %, film 8 %), papers within 3 %, on 12 body colours`,
      },
      {
        ...{
          name: 'decal.whiteCalled',
          value: called / all,
          unit: '',
          goal: { kind: 'at least', value: 0.95 } as const,
        },
        yardstick: 'the rest is told to print a test strip',
      },
    ]);
  },
};
