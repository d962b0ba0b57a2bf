import { expect } from 'chai';
import { boundPath } from '../artwork/boundPath.ts';
import { computeCutLine } from '../artwork/computeCutLine.ts';
import { readDecalSvg } from '../artwork/readDecalSvg.ts';
import { drawSheet } from './drawSheet.ts';
import { findRoom, PAPERS, placeRules, type Paper } from './paper.ts';
import { computePrinterScale, TRUE_SCALE } from './printerScale.ts';
import { writeSheetSvg } from './writeSheetSvg.ts';

const flag = readDecalSvg(
  '<svg width="20mm" height="8mm" viewBox="0 0 20 8"><rect width="20" height="8" fill="#b01020"/><rect width="5" height="4" fill="#ffffff"/></svg>',
).artwork;
const piece = { ...flag, cutLine: computeCutLine(flag, 0.6) };

describe('a sheet as it is printed', () => {
  it('holds each artwork at its size and place, its corner piece where it is after a turn', () => {
    const room = findRoom('A6');
    for (const turn of [0, 90, 180, 270] as const) {
      const { inks, cuts } = drawSheet('A6', [{ x: 10, y: 5, turn, artwork: piece }]);
      const [ground, corner] = inks.map(({ d }) => boundPath(d));
      const [left, top, right, bottom] = ground!;
      const sides = [right - left, bottom - top].map((mm) => +mm.toFixed(2));
      expect(sides, `${turn}`).deep.equal(turn % 180 === 0 ? [20, 8] : [8, 20]);
      expect(Math.min(...cuts[0]!.map(({ x }) => x))).closeTo(room.x + 10, 1e-6);
      expect(Math.min(...cuts[0]!.map(({ y }) => y))).closeTo(room.y + 5, 1e-6);
      // The rim is the same on all sides: ink lies in the middle of its cut line.
      const middle = (Math.max(...cuts[0]!.map(({ x }) => x)) + room.x + 10) / 2;
      expect((left + right) / 2).closeTo(middle, 0.1);
      // Upper left before, then clockwise: upper right, lower right, lower left.
      const atLeft = Math.abs(corner![0] - left) < 0.01;
      const atTop = Math.abs(corner![1] - top) < 0.01;
      expect([atLeft, atTop], `${turn}`).deep.equal(
        { 0: [true, true], 90: [false, true], 180: [false, false], 270: [true, false] }[turn],
      );
    }
  });

  it('has rules that end on the paper, beside the room, and comes back out of SVG within a hundredth', () => {
    for (const paper of Object.keys(PAPERS) as Paper[]) {
      const { along, down } = placeRules(paper);
      const [size, room] = [PAPERS[paper], findRoom(paper)];
      expect(along.fromX + along.mm).most(size.lengthMm - 5);
      expect(along.fromY).above(room.y + room.widthMm);
      expect(down.fromY + down.mm).most(size.widthMm - 5);
      expect(down.fromX).below(room.x);
    }
    const svg = writeSheetSvg(drawSheet('A5', [{ x: 3, y: 4, turn: 90, artwork: piece }]), true);
    const again = readDecalSvg(svg.replace(/<g[\s\S]*<\/g>/, '')).artwork;
    expect(again.widthMm).closeTo(8, 0.01);
    expect(again.heightMm).closeTo(20, 0.01);
  });

  it('is drawn smaller by what the printer makes larger, and learns that from its rules', () => {
    const scale = computePrinterScale('A5', { alongMm: 195.7, downMm: 128.7 }, TRUE_SCALE);
    const { along, down } = placeRules('A5');
    expect(scale.along).closeTo(195.7 / along.mm, 1e-9);
    expect(scale.down).closeTo(128.7 / down.mm, 1e-9);
    const { inks } = drawSheet('A5', [{ x: 0, y: 0, turn: 0, artwork: piece }], scale);
    const [left, top, right, bottom] = boundPath(inks[0]!.d);
    expect((right - left) * scale.along).closeTo(20, 0.002);
    expect((bottom - top) * scale.down).closeTo(8, 0.002);
    // The next sheet was corrected: a rule that comes out true says that the printer is as it was.
    const next = computePrinterScale('A5', { alongMm: along.mm, downMm: down.mm }, scale);
    expect(next).deep.equal(scale);
  });

  it('says no to a rule that no printer makes', () => {
    expect(() => computePrinterScale('A5', { alongMm: 97, downMm: 130 }, TRUE_SCALE)).throw(/fit to page/);
    expect(() => computePrinterScale('A5', { alongMm: 190, downMm: Number.NaN }, TRUE_SCALE)).throw(/a tenth off/);
  });
});
