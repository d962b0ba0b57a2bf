import { expect } from 'chai';
import type { DrawingShape, DrawingView } from '../../model/drawing.ts';
import { listCrossed } from './listCrossed.ts';

const rect = (partKey: string, x: number, y: number, w: number, h: number, more: Partial<DrawingShape> = {}) => ({
  ...{ partKey, surface: 'coat' as const, d: `M${x} ${y}H${x + w}V${y + h}H${x}Z`, box: [x, y, x + w, y + h] as const },
  ...more,
});
const view: DrawingView = {
  ...{ view: 'side', widthMm: 80, heightMm: 40, anchors: [] },
  shapes: [
    rect('base', 0, 10, 80, 10),
    rect('body', 5, 5, 70, 30),
    rect('body', 10, 10, 40, 4, { mask: 'band' }),
    rect('body', 20, 20, 30, 0.3, { surface: 'line' }),
    rect('seat', 30, 6, 6, 10, { hidden: true }),
    rect('flap', 52, 8, 10, 20),
  ],
};
const at = (x: number, y: number, widthMm: number, heightMm: number, turnDegrees = 0) =>
  listCrossed(view, 'body', 'band', { x, y, widthMm, heightMm, turnDegrees }).map(
    ({ what, partKey }) => `${what} ${partKey}`,
  );

describe('what a decal lies across', () => {
  it('is nothing within its panel, nor what lies behind its part or inside it', () => {
    expect(at(30, 12, 40, 4)).deep.equal([]);
    expect(at(30, 12, 20, 6)).deep.equal([]);
  });

  it('is relief, the edge of its part, and the joint with another', () => {
    expect(at(35, 20, 10, 4)).deep.equal(['relief body']);
    expect(at(60, 30, 40, 4)).deep.equal(['edge body']);
    expect(at(50, 15, 10, 4)).deep.equal(['joint flap']);
    expect(at(40, 20, 70, 8)).deep.equal(['relief body', 'joint flap']);
    // Wholly on the flap it crosses none of its edges.
    expect(at(57, 18, 4, 4)).deep.equal([]);
  });

  it('turns with the decal, and what only touches is not crossed', () => {
    expect(at(35, 16, 10, 2)).deep.equal([]);
    expect(at(35, 16, 10, 2, 90)).deep.equal(['relief body']);
    expect(at(35, 18, 10, 4)).deep.equal([]);
    expect(at(35, 18.06, 10, 4)).deep.equal(['relief body']);
  });

  it('is nothing on a part that is not drawn', () => {
    expect(listCrossed(view, 'roof', '', { x: 40, y: 20, widthMm: 30, heightMm: 30, turnDegrees: 0 })).deep.equal([]);
  });
});
