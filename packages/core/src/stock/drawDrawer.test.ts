import { expect } from 'chai';
import { STOCK_KIND_NAMES, STOCK_KINDS, type StockSize } from '../model/stock.ts';
import { computeOutlineArea } from '../drawing/computeOutlineArea.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { drawThing, type ThingShape } from './drawThing.ts';
import { layDrawer } from './layDrawer.ts';

describe('a thing in its drawer', () => {
  it('is as long and as wide as it is', () => {
    const axle = drawThing({ kind: 'axle', sizes: { diameter: 1.2, length: 30 }, traits: { ends: 'both bare' } })!;
    expect([axle.width, axle.height]).deep.equal([30, 2.4]);
    expect(computeOutlineArea(axle.d)).closeTo(36, 1e-6);
    const wheel = drawThing({ kind: 'wheel', sizes: { diameter: 11, bore: 1.3 }, traits: {} })!;
    expect([wheel.width, wheel.height]).deep.equal([11, 11]);
    const screw = drawThing({ kind: 'screw', sizes: { length: 6, headDiameter: 3.8 }, traits: { thread: 'M2' } })!;
    expect([screw.width, screw.height]).deep.equal([7, 3.8]);
    expect(computeOutlineArea(screw.d)).closeTo(3.8 + 12, 1e-6);
  });

  it('shows its heads: none, one or two, round or flat; the whole is as long as before', () => {
    const of = (ends: string) =>
      drawThing({ kind: 'axle', sizes: { diameter: 1.2, length: 30, headHeight: 0.6 }, traits: { ends } })!;
    const heads = (ends: string) => of(ends).d.split('Z').length - 2;
    expect(['both bare', 'one domed', 'both domed', 'one crimped', 'both crimped'].map(heads)).deep.equal([
      0, 1, 2, 1, 2,
    ]);
    expect(of('both domed').d).include('Q');
    expect(of('both crimped').d).not.include('Q');
    expect(of('one domed').width).equal(30);
  });

  it('of every kind is drawn when it is measured, and not when it is not', () => {
    for (const kind of STOCK_KIND_NAMES) {
      expect(drawThing({ kind, sizes: {}, traits: {} }), kind).equal(null);
      const sizes = Object.fromEntries(
        (STOCK_KINDS[kind].sizes as readonly StockSize[]).map((size, i) => [size, 4 + i]),
      );
      if (Object.keys(sizes).length === 0) continue;
      const shape = drawThing({ kind, sizes, traits: {} })!;
      expect(shape.width, kind).greaterThan(0);
      expect(shape.d, kind).match(/^M[^N]*Z$/);
    }
  });
});

describe('a drawer', () => {
  const box = (width: number, height: number): ThingShape => ({ width, height, d: '' });

  it('has nothing lie on anything else, or over its edge', () => {
    const random = createSeededRandom(3);
    for (let i = 0; i < 50; i++) {
      const shapes = Array.from({ length: 30 }, (_, thing) => ({
        thing,
        shape: box(1 + 60 * random(), 1 + 30 * random()),
      }));
      const { width, height, things } = layDrawer(shapes, 12, 150);
      expect(things).length(30);
      for (const [k, a] of things.entries()) {
        expect(a.x + a.shape.width).at.most(width);
        expect(a.y + a.shape.height).at.most(height);
        for (const b of things.slice(k + 1)) {
          const isApart =
            a.x + a.shape.width <= b.x ||
            b.x + b.shape.width <= a.x ||
            a.y + a.shape.height <= b.y ||
            b.y + b.shape.height <= a.y;
          expect(isApart).equal(true);
        }
      }
    }
  });

  it('is as wide as what is longest in it, and flat when it is empty', () => {
    expect(layDrawer([{ thing: 1, shape: box(300, 2) }], 12, 150).width).equal(312);
    expect(layDrawer([], 12, 150)).deep.equal({ width: 150, height: 12, things: [] });
  });
});
