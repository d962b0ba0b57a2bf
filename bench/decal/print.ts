import { boundPath } from '../../packages/core/src/decal/artwork/boundPath.ts';
import { drawSheet } from '../../packages/core/src/decal/print/drawSheet.ts';
import { placeRules } from '../../packages/core/src/decal/print/paper.ts';
import { computePrinterScale, TRUE_SCALE } from '../../packages/core/src/decal/print/printerScale.ts';
import { drawNormal } from '../../packages/core/src/numeric/drawNormal.ts';
import { createSeededRandom } from '../../packages/core/src/numeric/seededRandom.ts';
import { percentile, type Topic } from '../figure.ts';

const PRINTERS = 2000;
/** A steel rule under a magnifier, mm. */
const READING_SD = 0.05;

/** A printer that is off, its rules read once, and how large decals come out on the next sheet. */
export const decalPrint: Topic = {
  names: ['decal.printErrorMm', 'decal.printErrorBeforeMm'],
  measure: () => {
    const random = createSeededRandom(214);
    const [errors, before]: [number[], number[]] = [[], []];
    for (let i = 0; i < PRINTERS; i++) {
      const paper = random() < 0.5 ? 'A6' : 'A5';
      const real = { along: 1 + 0.015 * (2 * random() - 1), down: 1 + 0.015 * (2 * random() - 1) };
      const rules = placeRules(paper);
      const scale = computePrinterScale(
        paper,
        {
          alongMm: rules.along.mm * real.along + READING_SD * drawNormal(random),
          downMm: rules.down.mm * real.down + READING_SD * drawNormal(random),
        },
        TRUE_SCALE,
      );
      const [w, h] = [4 + 66 * random(), 3 + 12 * random()];
      const d = `M0 0H${w}V${h}H0Z`;
      const corners = [
        { x: 0, y: 0 },
        { x: w, y: 0 },
        { x: w, y: h },
        { x: 0, y: h },
      ];
      const artwork = {
        ...{ widthMm: w, heightMm: h, cutLine: corners },
        shapes: [{ d, fill: '#000000', isEvenOdd: false, stroke: null, strokeMm: 0 }],
      };
      const offBy = (corrected: typeof scale) => {
        const { inks } = drawSheet(paper, [{ x: 5 + 20 * random(), y: 5, turn: 0, artwork }], corrected);
        const [left, top, right, bottom] = boundPath(inks[0]!.d);
        return Math.max(Math.abs((right - left) * real.along - w), Math.abs((bottom - top) * real.down - h));
      };
      errors.push(offBy(scale));
      before.push(offBy(TRUE_SCALE));
    }
    const yardstick = `95 of 100; decals of 4 to 70 mm on ${PRINTERS} printers up to 1.5 % off, rules read within ${READING_SD} mm`;
    return Promise.resolve([
      {
        ...{ name: 'decal.printErrorMm', value: percentile(errors, 0.95), unit: 'mm' },
        ...{ goal: { kind: 'at most', value: 0.05 } as const, yardstick },
      },
      {
        ...{ name: 'decal.printErrorBeforeMm', value: percentile(before, 0.95), unit: 'mm', goal: null },
        yardstick: 'the same on the first sheet, before a rule was read',
      },
    ]);
  },
};
