import { expect } from 'chai';
import fc from 'fast-check';
import { drawCasting } from '../construction/drawCasting.ts';
import { redrawCasting } from '../construction/redrawCasting.ts';
import { isDrawing } from '../drawing/isDrawing.ts';
import type { DrawingView } from '../model/drawing.ts';
import type { Point } from '../model/plane.ts';
import type { Trace, TracedShape, TraceNode } from '../model/trace.ts';
import { drawTraced } from './drawTraced.ts';
import { fitRim } from './fitRim.ts';
import { fitTrace } from './fitTrace.ts';
import { insertNode } from './insertNode.ts';
import { layPhoto, mapToDrawing, mapToPhoto } from './layPhoto.ts';
import { flattenTrace, layCircle, outlineTrace } from './outlineTrace.ts';
import { awayFrom } from '../drawing/planeGeometry.ts';
import { simplifyLine } from './simplifyLine.ts';
import { snapLine } from './snapLine.ts';
import { snapTrace } from './snapTrace.ts';

const VIEW = { view: 'side', widthMm: 80, heightMm: 30 } as const;
const node = (x: number, y: number, bend: TraceNode['bend'] = 'corner'): TraceNode => ({ x, y, bend });
const shape = (nodes: readonly TraceNode[], changes: Partial<TracedShape> = {}): TracedShape => ({
  ...{ partKey: 'body', surface: 'coat', line: 'outline', area: '', isMirrored: false, nodes },
  ...changes,
});
const trace = (shapes: readonly TracedShape[], changes: Partial<Trace> = {}): Trace => ({
  ...VIEW,
  ...{ underAt: { x: 0, y: 0 }, photo: null, shapes, artwork: [], anchors: [], joints: [] },
  ...changes,
});
const finite = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const point = fc.record({ x: finite(-60, 60), y: finite(-60, 60) });

describe('a photograph laid under a drawing', () => {
  it('has its ends at the ends of the casting and its ground on the ground, whichever way it lies', () => {
    fc.assert(
      fc.property(finite(-3, 3), finite(0.7, 1.3), point, fc.boolean(), (turn, size, moved, isMirrored) => {
        // A casting 74 long seen in a plane that is turned, larger or smaller, and perhaps from its other side.
        const toPlane = ({ x, y }: Point): Point => {
          const [u, v] = [isMirrored ? -x : x, y];
          return {
            x: size * (Math.cos(turn) * u - Math.sin(turn) * v) + moved.x,
            y: size * (Math.sin(turn) * u + Math.cos(turn) * v) + moved.y,
          };
        };
        const fit = layPhoto(
          'p',
          {
            ends: [toPlane({ x: 0, y: 12 }), toPlane({ x: 74, y: 15 })],
            level: [toPlane({ x: 14, y: 30 }), toPlane({ x: 60, y: 30 })],
          },
          30,
          74,
        );
        for (const place of [
          { x: 0, y: 30 },
          { x: 74, y: 30 },
          { x: 33, y: 4 },
        ]) {
          const back = mapToDrawing(fit, toPlane(place));
          expect(Math.hypot(back.x - place.x, back.y - place.y)).lessThan(1e-6);
          const there = mapToPhoto(fit, place);
          expect(Math.hypot(there.x - toPlane(place).x, there.y - toPlane(place).y)).lessThan(1e-6);
        }
      }),
    );
  });

  it('refuses places that do not run from front to rear', () => {
    const low = { x: 10, y: 30 };
    const ends = [
      { x: 0, y: 10 },
      { x: 70, y: 10 },
    ] as const;
    expect(() => layPhoto('p', { ends, level: [low, low] }, 30, 74)).throw(/front and rear/);
    expect(() => layPhoto('p', { ends, level: [{ x: 60, y: 30 }, low] }, 30, 74)).throw(/front and rear/);
  });
});

describe('a traced line', () => {
  it('runs straight between corners, through the middle of an arc, and smoothly through bends', () => {
    expect(flattenTrace([node(0, 0), node(10, 0), node(10, 5)])).length(3);
    const arc = flattenTrace([node(0, 0), node(5, -5, 'arc'), node(10, 0), node(5, 8)]);
    for (const { x, y } of arc.slice(0, 24)) expect(Math.hypot(x - 5, y)).closeTo(5, 1e-9);
    const ring = [0, 1, 2, 3, 4, 5].map((i) =>
      node(9 * Math.cos((i * Math.PI) / 3), 9 * Math.sin((i * Math.PI) / 3), 'smooth'),
    );
    for (const { x, y } of flattenTrace(ring)) expect(Math.hypot(x, y)).closeTo(9, 0.1);
  });

  it('is a circle through its first three points, and nothing where they lie on a line or are too few', () => {
    const wheel = shape([node(5, 0), node(0, 5), node(-5, 0)], { line: 'circle' });
    expect(outlineTrace(wheel, VIEW)!.box.map((value) => Math.round(value))).deep.equal([-5, -5, 5, 5]);
    expect(outlineTrace(shape([node(0, 0), node(1, 1), node(2, 2)], { line: 'circle' }), VIEW)).equal(null);
    expect(outlineTrace(shape([node(0, 0), node(1, 1)]), VIEW)).equal(null);
    expect(layCircle({ x: 0, y: 0 }, { x: 1, y: 0 }, { x: 2, y: 0 })).equal(null);
  });

  it('closes over the middle of the view where only a half is traced', () => {
    const half = shape([node(2, 15), node(2, 4), node(70, 4), node(70, 15)], { isMirrored: true });
    expect(outlineTrace(half, { ...VIEW, view: 'base' })!.box).deep.equal([2, 4, 70, 26]);
    expect(outlineTrace(half, { ...VIEW, view: 'end' })!.box).deep.equal([2, 4, 78, 15]);
  });

  it('takes a point where it is pressed: in the line, after the last, or in place of one of a circle’s three', () => {
    const three = shape([node(0, 0), node(10, 0), node(10, 10)]);
    expect(insertNode(three, node(5, 0.3)).map(({ x }) => x)).deep.equal([0, 5, 10, 10]);
    expect(insertNode(three, node(0, 10)).at(-1)).deep.equal(node(0, 10));
    const circle = shape([node(5, 0), node(0, 5), node(-5, 0)], { line: 'circle' });
    expect(insertNode(circle, node(0.5, 6))).deep.equal([node(5, 0), node(0.5, 6), node(-5, 0)]);
  });

  it('keeps within the tolerance with the fewest points', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 2, maxLength: 40 }), finite(0.01, 5), (line, tolerance) => {
        const few = simplifyLine(line, tolerance);
        expect(few[0]).equal(line[0]);
        expect(few.at(-1)).equal(line.at(-1));
        for (const one of line) {
          const away = few.slice(1).map((to, i) => awayFrom(one, few[i]!, to));
          expect(Math.min(...away)).lessThan(tolerance + 1e-9);
        }
      }),
    );
  });
});

describe('laying a line on an edge', () => {
  /** Dark inside a line, light outside, the edge softened as a lens does it. */
  const soft = (inside: (place: Point) => number) => (place: Point) => 60 + 140 / (1 + Math.exp(inside(place) / 0.06));

  it('finds a slanting edge beside it to a few hundredths of a millimetre', () => {
    const lightness = soft(({ x, y }) => 0.2 * x + 10.7 - y);
    const { points, found } = snapLine(lightness, [
      { x: 0, y: 10.2 },
      { x: 30, y: 17.4 },
    ]);
    expect(found).greaterThan(0.99);
    for (const { x, y } of points.slice(2, -2)) expect(Math.abs(0.2 * x + 10.7 - y)).lessThan(0.05);
  });

  it('stays where it was drawn where there is no edge', () => {
    const { points, found } = snapLine(
      () => 120,
      [
        { x: 0, y: 0 },
        { x: 12, y: 0 },
      ],
    );
    expect(found).equal(0);
    for (const { y } of points) expect(y).closeTo(0, 1e-9);
  });

  it('brings corners to where their edges meet', () => {
    const box = ({ x, y }: Point) => Math.min(x - 10, 50 - x, y - 5, 25 - y);
    const { nodes, found } = snapTrace(
      soft((place) => -box(place)),
      shape([node(10.4, 4.5), node(49.7, 5.5), node(50.5, 25.3), node(9.6, 24.6)]),
    );
    expect(found).greaterThan(0.95);
    const corners = nodes.filter(({ bend }) => bend === 'corner');
    for (const [x, y] of [
      [10, 5],
      [50, 5],
      [50, 25],
      [10, 25],
    ] as const)
      expect(Math.min(...corners.map((one) => Math.hypot(one.x - x, one.y - y)))).lessThan(0.08);
    const line = flattenTrace(nodes);
    for (const place of line) expect(Math.abs(box(place))).lessThan(0.12);
  });

  it('fits a circle anew, strays left out, and an open half whose ends lie on the middle', () => {
    const wheel = ({ x, y }: Point) => 6 - Math.hypot(x - 20, y - 20);
    const rough = shape([node(26.5, 20), node(20, 25.6), node(14.3, 20)], { line: 'circle' });
    const { nodes } = snapTrace(
      soft((place) => -wheel(place)),
      rough,
    );
    const found = layCircle(nodes[0]!, nodes[1]!, nodes[2]!)!;
    expect(Math.hypot(found.x - 20, found.y - 20)).lessThan(0.05);
    expect(found.radius).closeTo(6, 0.05);
    const ring = Array.from({ length: 60 }, (_, i) => ({ x: 3 * Math.cos(i / 9.55), y: 3 * Math.sin(i / 9.55) }));
    const strays = [...ring, { x: 9, y: 9 }, { x: -8, y: 7 }];
    expect(fitRim(strays).radius).closeTo(3, 1e-6);
    const half = shape([node(2.3, 15), node(2, 4.3), node(70, 3.8), node(69.8, 15)], { isMirrored: true });
    const base = ({ x, y }: Point) => Math.min(x - 2, 70 - x, y - 4);
    const laid = snapTrace(
      soft((place) => -base(place)),
      half,
    ).nodes;
    expect(laid[0]!.x).closeTo(2, 0.1);
    expect(laid.at(-1)!.x).closeTo(70, 0.1);
  });

  it('leaves what is too little to lay as it is', () => {
    const two = [node(0, 0), node(4, 4)];
    expect(snapTrace(() => 0, shape(two))).deep.equal({ nodes: two, found: 0 });
  });
});

describe('a traced view', () => {
  const size = { bodyType: 'van', lengthMm: 80, wheelbaseMm: 45 } as const;
  const parts = [
    { key: 'body', shape: 'shell' },
    { key: 'base', shape: 'plate' },
    { key: 'wheels', shape: 'wheel' },
  ] as const;
  const under = drawCasting(size, parts).views[0]!;
  const traced = trace([shape([node(1, 2), node(79, 2), node(79, 25), node(1, 25)])], {
    anchors: [{ featureKey: 'colour', x: 40, y: 12 }],
    joints: [{ jointKey: 'post', x: 20, y: 28 }],
  });

  it('shows every part: the traced ones by their lines, the others as they were', () => {
    const view = drawTraced(traced, under, parts);
    for (const { key } of parts) expect(view.shapes.some(({ partKey }) => partKey === key)).equal(true);
    const body = view.shapes.filter(({ partKey }) => partKey === 'body');
    expect(body.map(({ box }) => box)).deep.equal([[1, 2, 79, 25]]);
    expect(view.anchors).deep.equal(traced.anchors);
    expect(view.joints).deep.equal(traced.joints);
    expect(isDrawing({ views: [view] })).equal(true);
    expect(drawTraced({ ...traced, joints: [] }, under, parts).joints).equal(undefined);
    const order = view.shapes.map(({ partKey }) => partKey);
    expect(order.indexOf('body')).lessThan(order.lastIndexOf('wheels'));
  });

  it('follows its casting: a part that goes takes its line along, one that comes gets a plain shape', () => {
    const drawing = { views: [drawTraced(traced, under, parts)] };
    const traces = { side: { ...traced, under } };
    const after = [...parts.slice(1), { key: 'hook', shape: 'hook' }] as const;
    const redrawn = redrawCasting(drawing, size, parts, after, traces);
    const keys = new Set(redrawn.drawing.views[0]!.shapes.map(({ partKey }) => partKey));
    expect([...keys].sort()).deep.equal(['base', 'hook', 'wheels']);
    // What was traced is kept, and shows again when the part comes back.
    const back = redrawCasting(redrawn.drawing, size, after, parts, redrawn.traces);
    expect(back.drawing.views[0]!.shapes.filter(({ partKey }) => partKey === 'body')[0]!.box).deep.equal([
      1, 2, 79, 25,
    ]);
  });

  it('grows with a roof that is higher than the drawing', () => {
    const high = fitTrace(trace([shape([node(0, -4), node(90, -4), node(40, 30)])]));
    expect([high.widthMm, high.heightMm]).deep.equal([90, 34]);
    expect(high.shapes[0]!.nodes[0]!.y).equal(0);
    expect(fitTrace(traced)).deep.equal(traced);
  });

  it('moves with a bumper before its edge, and what has no line goes along', () => {
    const joints = [{ jointKey: 'post', x: 20, y: 28 }];
    const wide = fitTrace(trace([shape([node(-3, 2), node(79, -1), node(79, 25), node(1, 25)])], { joints }));
    expect(wide.joints).deep.equal([{ jointKey: 'post', x: 23, y: 29 }]);
    expect([wide.widthMm, wide.heightMm, wide.underAt]).deep.equal([83, 31, { x: 3, y: 1 }]);
    const wheels = (view: DrawingView) => view.shapes.filter(({ partKey }) => partKey === 'wheels');
    const [was] = wheels(under);
    const [is] = wheels(drawTraced(wide, under, parts));
    is!.box.forEach((value, i) => expect(value).closeTo(was!.box[i]! + [3, 1][i % 2]!, 0.011));
    // Fitted, traced further and fitted again, all is moved by both.
    const again = fitTrace({ ...wide, shapes: [...wide.shapes, shape([node(-2, 0), node(9, 9), node(0, 9)])] });
    expect(again.underAt).deep.equal({ x: 5, y: 1 });
  });

  it('keeps its middle where a half was mirrored over it', () => {
    const half = [node(-2, 6), node(-2, 20), node(40, 20)];
    for (const mirrored of [half, half.map(({ x, ...rest }) => ({ ...rest, x: 80 - x }))]) {
      const end = trace([shape(mirrored, { isMirrored: true }), shape([node(38, 3), node(42, 3), node(40, 9)])], {
        view: 'end',
      });
      const fitted = fitTrace(end);
      const boxes = (one: Trace) => one.shapes.map((each) => outlineTrace(each, one)!.box);
      expect(boxes(fitted)).deep.equal(boxes(end).map(([l, t, r, b]) => [l + 2, t, r + 2, b]));
      expect(fitted.widthMm).equal(84);
    }
  });
});
