import { expect } from 'chai';
import { computeOutlineArea, enclose } from '../drawing/computeOutlineArea.ts';
import { outlinePolygon, outlineRectangle } from '../drawing/paths.ts';
import type { DrawingView } from '../model/drawing.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { closeField, snapToPart } from './closeField.ts';

const view = (outline: { d: string; box: readonly [number, number, number, number] }): DrawingView => ({
  ...{ view: 'side', widthMm: 100, heightMm: 50, anchors: [] },
  shapes: [{ partKey: 'body', surface: 'coat', ...outline }],
});
/** 60 by 20 mm. */
const box = view(outlineRectangle(10, 5, 60, 20));
const at = (x: number, y: number) => ({ x, y });

describe('a field that is drawn', () => {
  it('by hand: a line from side to side takes in the smaller part, along the outline', () => {
    const roof = closeField(box, 'body', [at(10, 10), at(70, 10)])!;
    expect(Math.abs(enclose(roof))).closeTo(300, 1e-9);
    expect(roof).deep.include(at(10, 5)).and.deep.include(at(70, 5));
    const sill = closeField(box, 'body', [at(70, 22), at(10, 22)])!;
    expect(Math.abs(enclose(sill))).closeTo(180, 1e-9);
  });

  it('by hand: over a corner, from one side to the same side, and a patch in the open', () => {
    expect(Math.abs(enclose(closeField(box, 'body', [at(10, 15), at(20, 5)])!))).closeTo(50, 1e-9);
    const dent = closeField(box, 'body', [at(20, 5), at(20, 9), at(30, 9), at(30, 5)])!;
    expect(Math.abs(enclose(dent))).closeTo(40, 1e-9);
    expect(closeField(box, 'body', [at(20, 10), at(30, 10), at(30, 20)])).length(3);
  });

  it('is nothing where nothing is taken in', () => {
    expect(closeField(box, 'body', [])).equal(null);
    expect(closeField(box, 'body', [at(20, 10)])).equal(null);
    expect(closeField(box, 'body', [at(20, 10), at(30, 10)])).equal(null);
    expect(closeField(box, 'body', [at(20, 5), at(30, 5)])).equal(null);
  });

  it('never takes in more than half of any part that a straight line crosses', () => {
    const random = createSeededRandom(5);
    for (let i = 0; i < 200; i++) {
      const corners = Array.from({ length: 7 }, (_, k) => {
        const angle = (2 * Math.PI * (k + 0.6 * random())) / 7;
        return [40 + 25 * Math.cos(angle), 25 + 18 * Math.sin(angle)] as const;
      });
      const part = outlinePolygon(corners);
      const middle = (k: number) =>
        at((corners[k]![0] + corners[(k + 1) % 7]![0]) / 2, (corners[k]![1] + corners[(k + 1) % 7]![1]) / 2);
      const from = Math.floor(7 * random());
      const field = closeField(view(part), 'body', [middle(from), middle((from + 2 + Math.floor(3 * random())) % 7)])!;
      expect(Math.abs(enclose(field))).most(computeOutlineArea(part.d) / 2 + 0.5);
    }
  });

  it('snaps to corners first, then to lines, and to nothing that is far', () => {
    expect(snapToPart(box, 'body', at(10.4, 5.3), 1.5)).deep.equal(at(10, 5));
    expect(snapToPart(box, 'body', at(30, 6), 1.5)).deep.equal(at(30, 5));
    expect(snapToPart(box, 'body', at(30, 12), 1.5)).deep.equal(at(30, 12));
    expect(snapToPart(box, 'base', at(30, 6), 1.5)).deep.equal(at(30, 6));
  });
});
