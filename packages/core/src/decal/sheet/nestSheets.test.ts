import { expect } from 'chai';
import { createDecalSet } from '../../../test/support/decalSets.ts';
import { findSheetFault } from '../../../test/support/bitmapSheets.ts';
import { createSeededRandom } from '../../numeric/seededRandom.ts';
import { layOutline, type CutPiece } from './cutPiece.ts';
import { computeGrownArea, growRuns } from './growRuns.ts';
import { nestSheets, type NestStep } from './nestSheets.ts';
import type { Nest, NestQuestion } from './nestQuestion.ts';
import { boundSheets } from './sheetBound.ts';

const SHEET = { lengthMm: 138, widthMm: 95 };
const box = (id: string, w: number, h: number): CutPiece => ({
  id,
  outline: [
    { x: 0, y: 0 },
    { x: w, y: 0 },
    { x: w, y: h },
    { x: 0, y: h },
  ],
});

function nestAll(question: NestQuestion, rounds: number, seed = 1): { nest: Nest; steps: NestStep[] } {
  const search = nestSheets(question, createSeededRandom(seed), rounds);
  const steps: NestStep[] = [];
  for (;;) {
    const next = search.next();
    if (next.done) return { nest: next.value, steps };
    steps.push(next.value);
  }
}

const faultOf = (question: NestQuestion, nest: Nest) =>
  findSheetFault(
    nest.placements.map((one) => ({ ...one, outline: question.pieces.find(({ id }) => id === one.id)!.outline })),
    question.sheet,
    question.spacingMm,
    question.begun,
  );

describe('shapes grown and cut into rows', () => {
  it('has the area of Steiner for what is convex, and all of a row that is touched', () => {
    const panel = box('panel', 22, 9).outline;
    expect(computeGrownArea(panel, 1)).closeTo(22 * 9 + 2 * 31 + Math.PI, 0.2);
    expect(computeGrownArea(panel, 0)).closeTo(198, 1e-6);
    const { rows, width, height } = growRuns(panel, 1, 0.25);
    expect([width, height, rows.length]).deep.equal([24, 11, 44]);
    // In the middle as broad as it grows; in the first row what a corner of radius 1 shows a quarter of a millimetre down.
    expect([...rows[20]!]).deep.equal([0, 24]);
    const shown = Math.sqrt(1 - 0.75 ** 2);
    expect(rows[0]![0]).closeTo(1 - shown, 1e-9);
    expect(rows[0]![1]).closeTo(23 + shown, 1e-9);
  });

  it('leaves the bay of an angle free, and takes a line or a dot for what it is', () => {
    const angle = [0, 0, 3, 0, 3, 7, 20, 7, 20, 10, 0, 10];
    const outline = Array.from({ length: 6 }, (_, i) => ({ x: angle[2 * i]!, y: angle[2 * i + 1]! }));
    expect([...growRuns(outline, 1, 0.25).rows[10]!]).deep.equal([0, 5]);
    expect(computeGrownArea([{ x: 3, y: 3 }], 2)).closeTo(4 * Math.PI, 0.05);
    expect(growRuns([{ x: 3, y: 3 }], 0, 0.25).rows).length(1);
  });
});

describe('pieces on sheets', () => {
  for (let seed = 1; seed <= 6; seed++)
    it(`lie apart and on the sheet, and never below the bound (set ${seed})`, () => {
      const random = createSeededRandom(700 + seed);
      const pieces = createDecalSet(4 + Math.floor(40 * random()), random);
      const spacingMm = seed % 3 === 0 ? 0.5 + 3 * random() : 2;
      const gone = createDecalSet(2, random).map(({ outline }, i) =>
        layOutline(outline, { x: 1 + 66 * i, y: 0.37 + 20 * random(), turn: 0 }),
      );
      const question = { pieces, sheet: SHEET, begun: seed % 2 ? [gone] : [], spacingMm };
      const { nest, steps } = nestAll(question, 12);
      expect(faultOf(question, nest)).equal(null);
      expect(nest.placements.map(({ id }) => id)).members(pieces.map(({ id }) => id));
      expect(nest.newSheets).least(boundSheets(question).newSheets);
      expect(steps).length(pieces.length > 1 ? 12 : 0);
    });

  it('gets better with every step or stays, and is the same again with the same seed', () => {
    const random = createSeededRandom(9);
    const question = { pieces: createDecalSet(30, random), sheet: SHEET, begun: [], spacingMm: 2 };
    const [one, two] = [nestAll(question, 60), nestAll(question, 60)];
    expect(one.nest).deep.equal(two.nest);
    const costs = one.steps.map(({ best }) => best.newSheets * SHEET.lengthMm + best.lengthMm);
    expect(costs).deep.equal([...costs].sort((a, b) => b - a));
    expect(costs.at(-1)).below(costs[0]!);
  });

  it('fills the sheet that was begun first, and asks for none where it is enough', () => {
    const gone = layOutline(box('gone', 40, 95).outline, { x: 0, y: 0, turn: 0 });
    const question = { pieces: [box('a', 30, 20), box('b', 30, 20)], sheet: SHEET, begun: [[gone]], spacingMm: 2 };
    const { nest } = nestAll(question, 5);
    expect(nest.newSheets).equal(0);
    expect(Math.min(...nest.placements.map(({ x }) => x))).closeTo(42, 1e-6);
    expect(boundSheets(question)).deep.equal({ newSheets: 0, lengthMm: 0 });
  });

  it('names what is larger than a sheet, and lays the rest', () => {
    const question = { pieces: [box('banner', 180, 12), box('plate', 9, 4)], sheet: SHEET, begun: [], spacingMm: 2 };
    const { nest } = nestAll(question, 5);
    expect(nest.tooLarge).deep.equal(['banner']);
    expect(nest.placements.map(({ id }) => id)).deep.equal(['plate']);
  });

  it('turns a band that only fits the other way, and needs nothing for nothing', () => {
    const tall = { pieces: [box('band', 90, 130)], sheet: SHEET, begun: [], spacingMm: 2 };
    expect(nestAll(tall, 5).nest.placements[0]!.turn).equal(90);
    const none = { pieces: [], sheet: SHEET, begun: [], spacingMm: 2 };
    expect(nestAll(none, 5).nest).deep.equal({ placements: [], newSheets: 0, lengthMm: 0, tooLarge: [] });
  });
});
