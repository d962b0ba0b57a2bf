import { expect } from 'chai';
import { outlineRectangle } from '../drawing/paths.ts';
import type { Drawing, DrawingShape } from '../model/drawing.ts';
import { computeDrawnArea } from './computeDrawnArea.ts';

const shape = (x: number, y: number, width: number, height: number, mask?: string): DrawingShape => ({
  ...{ partKey: 'body', surface: 'coat', ...outlineRectangle(x, y, width, height) },
  ...(mask ? { mask } : {}),
});
const view = (name: 'side' | 'end' | 'base', shapes: readonly DrawingShape[]) => ({
  ...{ view: name, widthMm: 100, heightMm: 50, shapes, anchors: [] },
});
/** A box of 60 by 25 by 20 mm with a band of 60 by 4 round its sides. */
const box: Drawing = {
  views: [view('side', [shape(10, 5, 60, 20), shape(10, 9, 60, 4, 'band')]), view('end', [shape(0, 5, 25, 20)])],
};
const outside = { kind: 'outside' as const, name: '', outline: null };

describe('surface by the drawing', () => {
  it('of a box is its two sides, two ends and roof, by hand, with a spread that covers the truth', () => {
    const area = computeDrawnArea(box, 'body', outside)!;
    // 2 * 60 * 20 + 2 * 25 * 20 + 60 * 25 = 4900 mm2, and what a flat view does not show.
    expect(area.value).closeTo(49 * 1.15, 1e-6);
    expect(Math.abs(area.value - 49)).lessThan(area.value * area.relativeSd);
    expect(area.way).equal('drawing');
  });

  it('of a field is what is drawn of it, on both sides; undrawn it is a guess and says so', () => {
    expect(computeDrawnArea(box, 'body', { kind: 'mask', name: 'band', outline: null })!.value).closeTo(4.8, 1e-6);
    const unknown = computeDrawnArea(box, 'body', { kind: 'mask', name: 'roof', outline: null })!;
    expect(unknown.relativeSd).greaterThan(0.5);
  });

  it('of a field that the restorer drew is what the line encloses', () => {
    const points = [
      { x: 10, y: 5 },
      { x: 30, y: 5 },
      { x: 10, y: 15 },
    ];
    const drawn = (view: 'side' | 'end') =>
      computeDrawnArea(box, 'body', { kind: 'mask', name: 'flash', outline: { view, points } })!.value;
    expect(drawn('side')).closeTo(2, 1e-9);
    expect(drawn('end')).closeTo(1, 1e-9);
  });

  it('of the underside is what is seen from above; without an end view the spread is wider', () => {
    expect(computeDrawnArea(box, 'body', { kind: 'underside', name: '', outline: null })!.value).closeTo(15, 1e-6);
    const sideOnly = { views: box.views.slice(0, 1) };
    const wide = computeDrawnArea(sideOnly, 'body', outside)!;
    expect(wide.relativeSd).greaterThan(computeDrawnArea(box, 'body', outside)!.relativeSd);
  });

  it('of a part that is not drawn is unknown', () => expect(computeDrawnArea(box, 'base', outside)).equal(null));
});
