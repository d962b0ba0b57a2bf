import { expect } from 'chai';
import fc from 'fast-check';
import { BODY_TYPES } from '../model/catalogue.ts';
import type { Box } from '../model/drawing.ts';
import { InvalidInputError } from '../model/errors.ts';
import { fitPartMap } from './fitPartMap.ts';
import { computePartMap } from './computePartMap.ts';
import { createBodyTypeDrawing } from './createBodyTypeDrawing.ts';
import { createView } from './createView.ts';
import { fillShape } from './fillShape.ts';
import { outlineCircle, outlinePolygon, outlineRectangle, outlineWithArches } from './paths.ts';

const overlaps = (a: Box, b: Box) =>
  a[0] < b[2] - 1e-9 && b[0] < a[2] - 1e-9 && a[1] < b[3] - 1e-9 && b[1] < a[3] - 1e-9;

describe('outlines', () => {
  it('closes a polygon and boxes its corners', () => {
    expect(
      outlinePolygon([
        [0, 0],
        [4, 0],
        [4, 3],
      ]),
    ).deep.equal({ d: 'M0 0L4 0L4 3Z', box: [0, 0, 4, 3] });
  });

  it('rounds corners, never past the middle of an edge', () => {
    expect(outlineRectangle(0, 0, 4, 2, 9).d).equal('M0 1Q0 0 2 0L2 0Q4 0 4 1L4 1Q4 2 2 2L2 2Q0 2 0 1Z');
  });

  it('draws a circle as two arcs', () =>
    expect(outlineCircle(5, 5, 2)).deep.equal({ d: 'M3 5A2 2 0 1 1 7 5A2 2 0 1 1 3 5Z', box: [3, 3, 7, 7] }));

  it('cuts wheel arches from the lower edge, right to left', () => {
    const { d, box } = outlineWithArches(
      [
        [0, 0],
        [20, 0],
      ],
      10,
      [
        { x: 5, radius: 2 },
        { x: 15, radius: 2 },
      ],
    );
    expect(d).equal('M0 0L20 0L20 10L17 10A2 2 0 0 0 13 10L7 10A2 2 0 0 0 3 10L0 10Z');
    expect(box).deep.equal([0, 0, 20, 10]);
  });
});

describe('createBodyTypeDrawing', () => {
  for (const type of BODY_TYPES) {
    it(`draws a ${type} of three views inside its size, with points to look at`, () => {
      const drawing = createBodyTypeDrawing(type, 64, 36);
      expect(drawing.views.map((view) => view.view)).deep.equal(['side', 'base', 'end']);
      for (const view of drawing.views) {
        expect(view.anchors.length).greaterThan(0);
        for (const { box, d } of view.shapes) {
          expect(d).match(/^M[-\d.]/);
          expect(d).not.include('NaN');
          expect(box[0]).least(-1);
          expect(box[2]).most(view.widthMm + 1);
          expect(box[3]).most(view.heightMm + 0.01);
        }
      }
    });
  }

  it('refuses a wheelbase that is not shorter than the model, and sizes that are none', () => {
    for (const [length, wheelbase] of [
      [60, 60],
      [60, 0],
      [0, 10],
      [Number.NaN, 10],
    ] as const) {
      expect(() => createBodyTypeDrawing('van', length, wheelbase))
        .throw(InvalidInputError)
        .include({ path: 'wheelbaseMm' });
    }
  });
});

describe('computePartMap', () => {
  const JOINTS = [
    ['body', 'base'],
    ['body', 'glazing'],
    ['body', 'interior'],
    ['base', 'axles', 'wheels'],
    ['wheels', 'tyres'],
  ].map((partKeys) => ({ partKeys }));
  it('never lets two parts overlap, for any body type and size (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...BODY_TYPES),
        fc.integer({ min: 20, max: 200 }),
        fc.double({ min: 0.3, max: 0.8, noNaN: true }),
        (type, length, share) => {
          const map = computePartMap(createBodyTypeDrawing(type, length, length * share).views[0]!, JOINTS);
          map.parts.forEach((a, i) => {
            expect(a.box[1]).least(0);
            expect(a.box[3]).most(map.heightMm + 1e-9);
            for (const b of map.parts.slice(i + 1))
              expect(overlaps(a.box, b.box), `${a.partKey} and ${b.partKey}`).equal(false);
          });
        },
      ),
      { numRuns: 300 },
    );
  });

  it('keeps the largest part as the one the others point to', () => {
    const map = computePartMap(createBodyTypeDrawing('bus', 70, 40).views[0]!, []);
    expect(map.parts.filter((part) => part.leader.length === 0).map((part) => part.partKey)).deep.equal(['body']);
  });

  it('moves parts out along their joints, one row a joint, and leads each line to what holds it', () => {
    const map = computePartMap(createBodyTypeDrawing('bus', 70, 40).views[0]!, JOINTS);
    const of = (key: string) => map.parts.find((part) => part.partKey === key)!;
    expect(of('base').box[1]).greaterThan(of('body').box[3] - 1e-9);
    expect(of('wheels').box[1]).greaterThan(of('base').box[3] - 1e-9);
    expect(of('tyres').box[1]).greaterThan(of('wheels').box[3] - 1e-9);
    const end = of('tyres').leader.at(-1)!;
    const [left, top, right] = of('wheels').box;
    expect(end.x).within(left, right);
    expect(end.y).within(top, of('tyres').box[1]);
  });

  it('leads no line through a part or a name', () => {
    for (const type of BODY_TYPES) {
      const { parts } = computePartMap(createBodyTypeDrawing(type, 70, 40).views[0]!, JOINTS, () => 34);
      for (const { partKey, leader } of parts)
        for (const [i, to] of leader.slice(1).entries()) {
          const from = leader[i]!;
          for (const step of [0.1, 0.3, 0.5, 0.7, 0.9]) {
            const [x, y] = [from.x + step * (to.x - from.x), from.y + step * (to.y - from.y)];
            for (const other of parts.filter((one) => one.partKey !== partKey)) {
              const isName = Math.abs(x - other.label.x) < 17 && y < other.label.y && y > other.label.y - 3;
              const isShape = other.shapes.some(({ box }) => {
                const [l, t, r, b] = [box[0] + other.dx, box[1] + other.dy, box[2] + other.dx, box[3] + other.dy];
                return x > l && x < r && y > t && y < b;
              });
              expect(isName || isShape, `${type}: line of ${partKey} through ${other.partKey}`).equal(false);
            }
          }
        }
    }
  });

  it('fits its sheet whatever the size of the model, and its names keep theirs (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...BODY_TYPES),
        fc.integer({ min: 15, max: 400 }),
        fc.integer({ min: 110, max: 180 }),
        (type, length, sheet) => {
          const view = createBodyTypeDrawing(type, length, length * 0.5).views[0]!;
          const map = fitPartMap(view, JOINTS, sheet, () => 18);
          expect(Math.max(map.widthMm, map.heightMm * 1.05)).within(sheet * 0.9, sheet * 1.1);
          for (const { partKey, shapes, dx, dy, box } of map.parts) {
            const drawn = shapes.map((shape) => shape.box.map((edge) => edge * map.scale));
            expect(Math.min(...drawn.map(([left]) => left! + dx)), partKey).least(box[0] - 1e-6);
            expect(Math.max(...drawn.map(([, , , bottom]) => bottom! + dy)), partKey).most(box[3] + 1e-6);
          }
        },
      ),
      { numRuns: 200 },
    );
  });

  it('is empty for a view without shapes', () => {
    expect(computePartMap(createView('side', 50, 30).build(), [])).deep.equal({ widthMm: 0, heightMm: 0, parts: [] });
  });
});

describe('fillShape', () => {
  const shape = (changes: object = {}) => ({
    partKey: 'body',
    surface: 'coat' as const,
    d: '',
    box: [0, 0, 1, 1] as const,
    ...changes,
  });

  it('takes the mask’s paint, else the outside’s, else the bare material', () => {
    const paint = { body: { outside: '#111111', roof: '#222222' } };
    expect(fillShape(shape({ mask: 'roof' }), paint, 'zinc alloy').fill).equal('#222222');
    expect(fillShape(shape({ mask: 'stripe' }), paint, 'zinc alloy').fill).equal('#111111');
    expect(fillShape(shape(), {}, 'brass').fill).equal('#b59a54');
    expect(fillShape(shape(), {}, undefined).fill).equal('#a7a9aa');
  });

  it('draws everything else by its surface', () => {
    expect(fillShape(shape({ surface: 'rubber' }), { body: { outside: '#ff0000' } }, 'rubber').fill).equal('#2c2c2d');
    expect(fillShape(shape({ surface: 'glass' }), {}, undefined).opacity).lessThan(1);
  });
});
