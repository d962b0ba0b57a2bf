import { expect } from 'chai';
import { outlineRectangle } from '../drawing/paths.ts';
import type { Drawing, DrawingShape, Surface } from '../model/drawing.ts';
import { measureMaskEdges, type EdgedArea } from './measureMaskEdges.ts';

const rectangle = (
  [x, y, width, height]: readonly [number, number, number, number],
  { partKey = 'body', surface = 'coat', mask }: { partKey?: string; surface?: Surface; mask?: string } = {},
): DrawingShape => ({
  ...{ partKey, surface, ...outlineRectangle(x, y, width, height) },
  ...(mask === undefined ? {} : { mask }),
});
const drawing = (...shapes: readonly DrawingShape[]): Drawing => ({
  views: [{ view: 'side', widthMm: 100, heightMm: 50, shapes, anchors: [] }],
});
const outside: EdgedArea = { id: 'out', kind: 'outside', name: '', outline: null };
const field = (name: string): EdgedArea => ({ id: name, kind: 'mask', name, outline: null });
/** 60 by 20 mm. */
const body = rectangle([10, 5, 60, 20]);
const near = (mm: number) => [mm - 2, mm + 2] as const;

describe('the edges of masks', () => {
  it('by hand: a roof over the whole length has its lower edge only, on both sides of the model', () => {
    const edges = measureMaskEdges(drawing(body, rectangle([10, 5, 60, 5], { mask: 'roof' })), 'body', [
      outside,
      field('roof'),
    ]);
    expect(edges).length(1);
    expect(edges[0]).deep.include({ between: ['roof', 'out'], kind: 'open surface' });
    expect(edges[0]!.lengthMm).within(...near(120));
  });

  it('by hand: along a drawn line it is a panel line, along another piece a step', () => {
    const line = rectangle([10, 9.9, 60, 0.2], { surface: 'line' });
    const door = rectangle([30, 10, 40, 10], { partKey: 'door' });
    const roof = rectangle([10, 5, 60, 5], { mask: 'roof' });
    const areas = [outside, field('roof')];
    const lined = measureMaskEdges(drawing(body, line, roof), 'body', areas);
    expect(lined.map(({ kind }) => kind)).deep.equal(['panel line']);
    const stepped = measureMaskEdges(drawing(body, door, roof), 'body', areas);
    const mm = Object.fromEntries(stepped.map(({ kind, lengthMm }) => [kind, lengthMm]));
    expect(mm['step']).within(...near(80));
    expect(mm['open surface']).within(...near(40));
  });

  it('where two fields meet there is one edge between them, counted once', () => {
    const edges = measureMaskEdges(
      drawing(body, rectangle([10, 5, 60, 5], { mask: 'roof' }), rectangle([10, 10, 60, 4], { mask: 'band' })),
      'body',
      [outside, field('roof'), field('band')],
    );
    const between = edges.map(({ between: pair, lengthMm }) => [...pair, Math.round(lengthMm / 10) * 10]);
    expect(between).deep.equal([
      ['roof', 'band', 120],
      ['band', 'out', 120],
    ]);
  });

  it('of a patch that the restorer drew is its round; at an end once; off the part and undrawn nothing', () => {
    const patch = (view: 'side' | 'end', x: number): EdgedArea => ({
      ...{ id: 'patch', kind: 'mask', name: 'patch' },
      outline: { view, points: [0, 1, 2, 3].map((i) => ({ x: x + (i === 1 || i === 2 ? 8 : 0), y: i < 2 ? 10 : 16 })) },
    });
    const sum = (area: EdgedArea, on: Drawing) =>
      measureMaskEdges(on, 'body', [outside, area]).reduce((mm, { lengthMm }) => mm + lengthMm, 0);
    expect(sum(patch('side', 20), drawing(body))).closeTo(56, 1e-6);
    const end = { views: [{ ...drawing(body).views[0]!, view: 'end' as const }] };
    expect(sum(patch('end', 20), end)).closeTo(28, 1e-6);
    // Half of it hangs over the front of the body.
    expect(sum(patch('side', 6), drawing(body))).within(...near(2 * (6 + 4 + 4)));
    expect(sum(field('nowhere'), drawing(body))).equal(0);
  });
});
