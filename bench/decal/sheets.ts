import { MaxRectsPacker, PACKING_LOGIC } from 'maxrects-packer/dist/maxrects-packer.mjs';
import type { CutPiece } from '../../packages/core/src/decal/sheet/cutPiece.ts';
import { nestSheets, USUAL_ROUNDS } from '../../packages/core/src/decal/sheet/nestSheets.ts';
import type { Nest, NestQuestion } from '../../packages/core/src/decal/sheet/nestQuestion.ts';
import { boundSheets } from '../../packages/core/src/decal/sheet/sheetBound.ts';
import { createSeededRandom } from '../../packages/core/src/numeric/seededRandom.ts';
import { findSheetFault } from '../../packages/core/test/support/bitmapSheets.ts';
import { createDecalSet } from '../../packages/core/test/support/decalSets.ts';
import { median, percentile, type Figure, type Topic } from '../figure.ts';

const SETS = 200;
/** A small sheet of film, less the margins of a printer. */
const SHEET = { lengthMm: 138, widthMm: 95 };
const SPACING = 2;

/** Decals on sheets: against a checker on a bitmap, the area that they take up, and a packer of boxes. */
export const decalSheets: Topic = {
  names: [
    ...['decal.sheetsBroken', 'decal.setsAtBound', 'decal.worseThanPacker', 'decal.packerAtBound'],
    ...['decal.lengthVsBound', 'decal.nestMs'],
  ],
  measure: () => Promise.resolve([...measureSets(), measureMs()]),
};

function nest(question: NestQuestion, seed: number): Nest {
  const search = nestSheets(question, createSeededRandom(seed), USUAL_ROUNDS);
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}

function countPacked(pieces: readonly CutPiece[]): number {
  const packer = new MaxRectsPacker(SHEET.lengthMm + SPACING, SHEET.widthMm + SPACING, 0, {
    ...{ smart: false, pot: false, square: false, allowRotation: true, logic: PACKING_LOGIC.MAX_AREA },
  });
  // The largest first, as that packer asks for.
  const sizes = pieces.map(({ outline }) => {
    const [xs, ys] = [outline.map(({ x }) => x), outline.map(({ y }) => y)];
    return [Math.max(...xs) - Math.min(...xs) + SPACING, Math.max(...ys) - Math.min(...ys) + SPACING] as const;
  });
  for (const [w, h] of sizes.sort((a, b) => b[0] * b[1] - a[0] * a[1])) packer.add(w, h, null);
  return packer.bins.length;
}

function measureSets(): Figure[] {
  const random = createSeededRandom(212);
  const ratios: number[] = [];
  let [broken, atBound, worse, packedAtBound] = [0, 0, 0, 0];
  for (let set = 0; set < SETS; set++) {
    const pieces = createDecalSet(6 + Math.floor(54 * random()), random);
    const question = { pieces, sheet: SHEET, begun: [], spacingMm: SPACING };
    const { placements, newSheets, lengthMm } = nest(question, set);
    const laid = placements.map((one) => ({ ...one, outline: pieces.find(({ id }) => id === one.id)!.outline }));
    if (laid.length !== pieces.length || findSheetFault(laid, SHEET, SPACING)) broken++;
    const bound = boundSheets(question);
    const packed = countPacked(pieces);
    if (newSheets === bound.newSheets) atBound++;
    if (packed === bound.newSheets) packedAtBound++;
    if (newSheets > packed) worse++;
    ratios.push(((newSheets - 1) * (SHEET.lengthMm + SPACING) + lengthMm) / bound.lengthMm);
  }
  const sets = `${SETS} sets of 6 to 59 pieces, copies and spares among them, on ${SHEET.lengthMm} x ${SHEET.widthMm} mm`;
  return [
    {
      ...{ name: 'decal.sheetsBroken', value: broken, unit: '', goal: { kind: 'at most', value: 0 } },
      yardstick: `${sets}: overlap, spacing, edge, by a bitmap of 0.1 mm and points along the lines`,
    },
    {
      ...{ name: 'decal.setsAtBound', value: atBound / SETS, unit: '', goal: { kind: 'at least', value: 0.94 } },
      yardstick: 'no sheet more than the grown area needs',
    },
    {
      ...{ name: 'decal.worseThanPacker', value: worse, unit: 'sets', goal: { kind: 'at most', value: 0 } },
      yardstick: 'more sheets than a packer of boxes (best of turning)',
    },
    {
      ...{ name: 'decal.packerAtBound', value: packedAtBound / SETS, unit: '', goal: null },
      yardstick: 'the same share for that packer',
    },
    {
      ...{ name: 'decal.lengthVsBound', value: median(ratios), unit: '', goal: { kind: 'at most', value: 1.13 } },
      yardstick: `used length over the area bound, median; a tenth of the sets are under ${percentile(ratios, 0.1).toFixed(2)}, a tenth over ${percentile(ratios, 0.9).toFixed(2)}`,
    },
  ];
}

function measureMs(): Figure {
  const random = createSeededRandom(213);
  const times: number[] = [];
  for (let i = 0; i < 7; i++) {
    const question = { pieces: createDecalSet(36, random), sheet: SHEET, begun: [], spacingMm: SPACING };
    const before = process.cpuUsage();
    nest(question, i);
    const { user, system } = process.cpuUsage(before);
    times.push((user + system) / 1000);
  }
  return {
    ...{ name: 'decal.nestMs', value: median(times), unit: 'ms', goal: { kind: 'at most', value: 2000 } },
    yardstick: `processor time of ${USUAL_ROUNDS} rounds on 36 pieces, median of ${times.length} sets; may be ended after any of them`,
  };
}
