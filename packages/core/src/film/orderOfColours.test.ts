import { expect } from 'chai';
import { outlineRectangle } from '../drawing/paths.ts';
import type { Drawing } from '../model/drawing.ts';
import { SCHOOL_OPTIONS } from '../model/school.ts';
import { groundsOf } from './groundsOf.ts';
import { orderOfColours, priceSchools, type ColouredPart } from './orderOfColours.ts';

const shape = (x: number, y: number, width: number, height: number, mask?: string) => ({
  ...{ partKey: 'body', surface: 'coat' as const, ...outlineRectangle(x, y, width, height) },
  ...(mask ? { mask } : {}),
});
/** 60 by 20 mm; its roof is the upper 5 mm, a badge 4 by 4. */
const drawing: Drawing = {
  views: [
    {
      ...{ view: 'side', widthMm: 100, heightMm: 50, anchors: [] },
      shapes: [shape(10, 5, 60, 20), shape(10, 5, 60, 5, 'roof'), shape(30, 15, 4, 4, 'badge')],
    },
  ],
};
const area = (id: string, kind: 'outside' | 'inside' | 'mask', changes: object = {}) => ({
  ...{ id, kind, name: kind === 'mask' ? id : '', outline: null, size: null },
  ...changes,
});
type Layer = ColouredPart['layers'][number];
const coat = (areaId: string, colourHex: string, coats: number | null, changes: Partial<Layer> = {}): Layer => ({
  ...{ areaId, stage: 'planned', seq: 1, kind: 'colour', colourHex, productId: null, coats },
  ...{ appliedAt: null, rejection: null, removedAt: null },
  ...changes,
});
const [CREAM, MAROON, BLACK] = ['#e6d9b4', '#6a2330', '#141414'];
const saloon = (changes: Partial<ColouredPart> = {}): ColouredPart => ({
  ...{ partKey: 'body', paints: [], drawing, foundHex: null },
  areas: [area('out', 'outside'), area('roof', 'mask'), area('badge', 'mask')],
  layers: [coat('out', MAROON, 2), coat('roof', CREAM, 2), coat('badge', BLACK, 1)],
  ...changes,
});

describe('the order of a part’s colours', () => {
  it('is light to dark by itself; small fields are touched in and have no turn', () => {
    expect(orderOfColours(saloon(), 'light to dark')).deep.equal(['roof', 'out']);
    const dark = saloon({ layers: [coat('out', CREAM, 2), coat('roof', MAROON, 2)] });
    expect(orderOfColours(dark, 'light to dark')).deep.equal(['out', 'roof']);
  });

  it('has hidden faces first, and goes on from what is on already', () => {
    const areas = [area('out', 'outside'), area('roof', 'mask'), area('in', 'inside')];
    const layers = [coat('out', MAROON, 2), coat('roof', CREAM, 2), coat('in', BLACK, 1)];
    expect(orderOfColours(saloon({ areas, layers }), 'light to dark')).deep.equal(['in', 'roof', 'out']);
    const on = { stage: 'applied' as const, appliedAt: '2026-11-01T10:00:00.000Z' };
    for (const school of SCHOOL_OPTIONS.S8) {
      const begun = orderOfColours(saloon({ layers: [...saloon().layers, coat('out', MAROON, null, on)] }), school);
      expect(begun, school).deep.equal(['out', 'roof']);
      const rejected = { ...on, rejection: { at: '', by: '', because: '', kind: 'ran' as const, helped: '' } };
      const anew = saloon({ layers: [...saloon().layers, coat('out', MAROON, null, rejected)] });
      expect(orderOfColours(anew, 'light to dark')).deep.equal(['roof', 'out']);
    }
  });

  it('is no question for one colour, under powder, and for a field that nobody drew or measured', () => {
    expect(orderOfColours(saloon({ layers: [coat('out', MAROON, 2)] }), 'the cheapest')).deep.equal([]);
    expect(orderOfColours(saloon({ drawing: null }), 'the cheapest')).deep.equal([]);
    const sized = area('roof', 'mask', { size: { value: 9, relativeSd: 0.1, way: 'typed' } });
    expect(
      orderOfColours(saloon({ drawing: null, areas: [area('out', 'outside'), sized] }), 'light to dark'),
    ).deep.equal(['roof', 'out']);
    const powder = { ...saloon().layers[0]!, productId: 'powder' };
    const paints = [{ id: 'powder', kind: 'powder', gloss: 'gloss', optics: null, colourHex: MAROON, dryFilmUm: 60 }];
    const layers = [powder, coat('roof', CREAM, 2)];
    expect(orderOfColours(saloon({ layers, paints: paints as ColouredPart['paints'] }), 'the cheapest')).deep.equal([]);
  });

  it('by hand: each answer at its price, the edge on both sides, the smaller field wrapped', () => {
    const prices = priceSchools(saloon())!;
    const [roof, body] = prices['light to dark'].steps;
    expect(roof!.minutes).closeTo(10, 1e-9);
    // 12 cm across the open at 1.2 + 0.15 + 0.004 * 25, 6 cm2 of roof wrapped at 0.04, two coats, one change of the gun.
    expect(body!.minutes).within(12 * 1.45 + 0.24 + 10 + 6 - 0.6, 12 * 1.45 + 0.24 + 10 + 6 + 0.6);
    for (const school of SCHOOL_OPTIONS.S8) expect(prices[school].minutes).least(prices['the cheapest'].minutes - 1e-9);
    expect(priceSchools(saloon({ layers: [coat('out', MAROON, 2)] }))).equal(null);
  });

  it('is what a colour lies upon besides its own ground: the one before it, as nothing that is not on is masked', () => {
    const primer = { ...coat('out', '#cccccc', null), kind: 'primer' as const, seq: 0 };
    const planned = [primer, ...saloon().layers].map((layer) => ({
      ...{ layer, area: area(layer.areaId, layer.areaId === 'out' ? 'outside' : 'mask') },
    }));
    const ground = (place: number, order: readonly string[]) => groundsOf(planned, place, null, order).join(' ');
    expect([ground(1, []), ground(2, []), ground(3, [])]).deep.equal(['#cccccc', MAROON, MAROON]);
    expect([ground(1, ['roof', 'out']), ground(2, ['roof', 'out'])]).deep.equal([`#cccccc ${CREAM}`, '#cccccc']);
    expect([ground(1, ['out', 'roof']), ground(2, ['out', 'roof'])]).deep.equal(['#cccccc', `${MAROON} ${MAROON}`]);
    // The primer of the outside is no colour: nothing goes before it.
    expect(ground(0, ['roof', 'out'])).equal('#a8a8a8');
  });
});
