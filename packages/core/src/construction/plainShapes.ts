import type { PartShape } from '../model/partShape.ts';
import type { ViewBuilder } from '../drawing/createView.ts';
import { outlineCircle, outlinePolygon, outlineRectangle, outlineWithArches, type Corner } from '../drawing/paths.ts';
import type { VehicleFrame } from '../drawing/vehicleFrame.ts';

/** Adds the shapes of one part to a side view. `nth`: how many of that look came before it, so that none hides another. */
export type DrawShape = (view: ViewBuilder, key: string, frame: VehicleFrame, nth: number) => void;

const SIDE_IN = 0.015;

/** Corners given as shares of length and height, radii in millimetres. */
const scale = ({ at }: VehicleFrame, corners: readonly Corner[]): Corner[] =>
  corners.map(([x, y, radius = 0]) => [at.x(x), at.y(y), radius]);

const poly = (frame: VehicleFrame, ...corners: readonly Corner[]) => outlinePolygon(scale(frame, corners));

/** A rectangle by shares: left, top, width, height. */
const rect = ({ at }: VehicleFrame, [x, y, width, height]: readonly [number, number, number, number], radius = 0.5) =>
  outlineRectangle(at.x(x), at.y(y), at.x(width), at.y(height), radius);

/** Each a step further along than the one before; past the end they begin again, a little beside the first ones. */
const along = (first: number, step: number, nth: number, end = 0.94) => {
  const places = Math.max(1, Math.floor((end - first) / step) + 1);
  return first + step * (nth % places) + 0.02 * Math.floor(nth / places);
};

const archesOf = ({ size }: VehicleFrame, until = Infinity) =>
  size.axlesMm.filter((x) => x < until).map((x) => ({ x, radius: size.wheelRadiusMm * 1.14 }));

const shell: DrawShape = (view, key, frame, nth) => {
  const { plan, at, floorMm } = frame;
  if (nth > 0) {
    // A second shell: an upper half that lies on the first.
    view.add(key, 'coat', rect(frame, [0.3, 0.02 + 0.05 * nth, 0.42, 0.16], 1.5));
    view.add(key, 'line', rect(frame, [0.32, 0.14 + 0.05 * nth, 0.38, 0.012], 0.1));
    return;
  }
  view.add(key, 'coat', outlineWithArches(scale(frame, plan.roof), floorMm, archesOf(frame)));
  view.add(key, 'shade', outlineRectangle(at.x(SIDE_IN), floorMm - 2.6, at.x(1 - 2 * SIDE_IN), 0.7, 0.3));
};

const cab: DrawShape = (view, key, frame, nth) => {
  const { at, floorMm } = frame;
  const left = nth === 0 ? 0.01 : along(0.3, 0.3, nth - 1, 0.7);
  const corners = scale(frame, [
    [left, 0.5, 2],
    [left + 0.04, 0.14, 3],
    [left + 0.25, 0.1, 2],
    [left + 0.27, 0.14, 1],
  ]);
  const right = at.x(left + 0.27);
  const arches = nth === 0 ? archesOf(frame).filter(({ x, radius }) => x + radius < right && x - radius > 0) : [];
  view.add(key, 'coat', outlineWithArches([...corners, [right, floorMm - 0.6]], floorMm, arches));
  view.add(key, 'line', rect(frame, [left + 0.2, 0.18, 0.006, 0.4], 0.1));
  view.add(key, 'shade', outlineRectangle(at.x(left + 0.01), floorMm - 2.2, at.x(0.25), 0.6, 0.2));
};

/** Something that lies on the chassis behind the cab. */
const onBed = (nth: number) => along(0.3, 0.34, nth, 0.7);

const bed: DrawShape = (view, key, frame, nth) => {
  const left = onBed(nth);
  const width = 0.98 - left;
  view.add(key, 'coat', rect(frame, [left, 0.34, width, 0.3], 0.8));
  const planks = Math.max(2, Math.round(width / 0.12));
  for (let i = 1; i < planks; i++)
    view.add(key, 'line', rect(frame, [left + (width * i) / planks, 0.36, 0.005, 0.26], 0.1));
  view.add(key, 'light', rect(frame, [left + 0.01, 0.345, width - 0.02, 0.03], 0.2));
};

const tank: DrawShape = (view, key, frame, nth) => {
  const left = onBed(nth);
  const width = 0.98 - left;
  view.add(key, 'coat', rect(frame, [left, 0.16, width, 0.46], 4));
  view.add(key, 'light', rect(frame, [left + 0.03, 0.22, width - 0.08, 0.05], 0.8));
  for (const share of [0.2, 0.5, 0.8])
    view.add(key, 'shade', rect(frame, [left + width * share - 0.03, 0.1, 0.06, 0.07], 0.6));
};

const box: DrawShape = (view, key, frame, nth) => {
  const left = onBed(nth);
  const width = 0.98 - left;
  view.add(key, 'coat', rect(frame, [left, 0.03, width, 0.62], 1.5));
  view.add(key, 'line', rect(frame, [left + 0.02, 0.12, width - 0.04, 0.008], 0.1));
  view.add(key, 'line', rect(frame, [left + width * 0.78, 0.12, 0.005, 0.5], 0.1));
};

const plate: DrawShape = (view, key, { at, floorMm }, nth) =>
  void view.add(key, 'coat', outlineRectangle(at.x(0.03), floorMm - 1.6 + nth * 1.2, at.x(0.94), 2.8, 0.8));

const chassis: DrawShape = (view, key, { at, floorMm }, nth) => {
  const top = floorMm - 2.4 + nth * 1.2;
  view.add(key, 'coat', outlineRectangle(at.x(0.02), top, at.x(0.96), 3, 0.6));
  for (const share of [0.34, 0.5, 0.66])
    view.add(key, 'dark', outlineRectangle(at.x(share), top + 0.8, at.x(0.05), 1.3, 0.4));
};

const windows: DrawShape = (view, key, frame, nth) => {
  const panes = frame.plan.windows;
  // A second glazing unit takes the last of the panes: a rear window of its own.
  const own = nth === 0 ? panes : panes.slice(-1);
  if (panes.length === 0) return void view.add(key, 'glass', rect(frame, [along(0.3, 0.2, nth), 0.2, 0.14, 0.14], 0.6));
  const shift = nth * 0.02;
  for (const pane of own)
    view.add(
      key,
      'glass',
      outlinePolygon(
        scale(
          frame,
          pane.map(([x, y, r = 0]): Corner => [x + shift, y, r]),
        ),
      ),
    );
};

const seats: DrawShape = (view, key, frame, nth) => {
  const left = along(0.35, 0.2, nth, 0.7);
  view.add(key, 'coat', rect(frame, [left, 0.56, 0.32, 0.08], 0.6), { hidden: true });
  for (const x of [0.03, 0.17]) {
    view.add(key, 'coat', rect(frame, [left + x, 0.5, 0.12, 0.07], 0.6), { hidden: true });
    view.add(key, 'coat', rect(frame, [left + x + 0.09, 0.36, 0.035, 0.2], 0.8), { hidden: true });
  }
};

const mechanism: DrawShape = (view, key, frame, nth) => {
  const { at } = frame;
  const [x, y, r] = [at.x(along(0.45, 0.16, nth, 0.8)), at.y(0.6), at.y(0.11)];
  view.add(key, 'metal', outlineRectangle(x - r * 1.8, y - r * 0.9, r * 3.6, r * 1.8, 0.6), { hidden: true });
  view.add(key, 'dark', outlineCircle(x - r * 0.5, y, r * 0.8), { hidden: true });
  view.add(key, 'line', outlineCircle(x - r * 0.5, y, r * 0.3), { hidden: true });
};

const door: DrawShape = (view, key, frame, nth) => {
  const left = along(0.4, 0.15, nth, 0.72);
  view.add(
    key,
    'coat',
    poly(frame, [left, 0.62, 0.8], [left, 0.44, 0.6], [left + 0.13, 0.44, 0.6], [left + 0.13, 0.62, 0.8]),
  );
  view.add(key, 'line', rect(frame, [left + 0.1, 0.49, 0.02, 0.02], 0.1));
};

const bonnet: DrawShape = (view, key, frame, nth) =>
  void view.add(
    key,
    'coat',
    poly(
      frame,
      [0.03, 0.56 + nth * 0.06, 1],
      [0.22, 0.46 + nth * 0.06, 1],
      [0.24, 0.52 + nth * 0.06, 0.6],
      [0.04, 0.62 + nth * 0.06, 0.6],
    ),
  );

const bootLid: DrawShape = (view, key, frame, nth) =>
  void view.add(
    key,
    'coat',
    poly(
      frame,
      [0.8, 0.46 + nth * 0.06, 1],
      [0.97, 0.53 + nth * 0.06, 1],
      [0.96, 0.6 + nth * 0.06, 0.6],
      [0.79, 0.53 + nth * 0.06, 0.6],
    ),
  );

const bumper: DrawShape = (view, key, frame, nth) => {
  const { at, floorMm } = frame;
  const isRear = nth % 2 === 1;
  const top = floorMm - 1.8 - 1.6 * Math.floor(nth / 2);
  view.add(key, 'metal', outlineRectangle(isRear ? at.x(0.95) : at.x(-0.01), top, at.x(0.06), 1.5, 0.6));
};

const grille: DrawShape = (view, key, frame, nth) => {
  const left = along(0.012, 0.06, nth, 0.3);
  view.add(key, 'metal', rect(frame, [left, 0.55, 0.04, 0.16], 0.4));
  for (const y of [0.58, 0.62, 0.66]) view.add(key, 'line', rect(frame, [left, y, 0.04, 0.008], 0.05));
};

const strip: DrawShape = (view, key, frame, nth) =>
  void view.add(key, 'metal', rect(frame, [0.1, 0.53 + 0.04 * (nth % 4), 0.8, 0.018], 0.2));

const lamp: DrawShape = (view, key, { at }, nth) => {
  const [x, y] = [at.x(along(0.045, 0.07, nth, 0.4)), at.y(0.58)];
  view.add(key, 'metal', outlineCircle(x, y, 1.4));
  view.add(key, 'light', outlineCircle(x, y, 0.8));
};

const hook: DrawShape = (view, key, { at, floorMm }, nth) => {
  const [x, y] = [at.x(0.985), floorMm - 1 - 2 * nth];
  view.add(
    key,
    'metal',
    outlinePolygon([
      [x - 2, y - 0.6, 0.3],
      [x + 2.4, y - 0.6, 1],
      [x + 2.4, y - 2.4, 0.4],
      [x + 3.4, y - 2.4, 0.4],
      [x + 3.4, y + 0.5, 1],
      [x - 2, y + 0.5, 0.3],
    ]),
  );
};

const drawbar: DrawShape = (view, key, { at, floorMm }, nth) => {
  const y = floorMm - 1.2 - 2 * nth;
  view.add(key, 'metal', outlineRectangle(at.x(-0.1), y, at.x(0.18), 1.4, 0.5));
  view.add(key, 'line', outlineCircle(at.x(-0.08), y + 0.7, 0.4));
};

const rack: DrawShape = (view, key, frame, nth) => {
  const top = 0.02 - 0.07 * nth;
  view.add(key, 'metal', rect(frame, [0.4, top, 0.34, 0.02], 0.2));
  for (const x of [0.42, 0.5, 0.58, 0.66, 0.72]) view.add(key, 'metal', rect(frame, [x, top, 0.008, 0.06], 0.1));
};

const load: DrawShape = (view, key, frame, nth) => {
  const left = along(0.36, 0.26, nth, 0.8);
  view.add(
    key,
    'coat',
    poly(
      frame,
      [left, 0.36, 1],
      [left + 0.05, 0.24, 2],
      [left + 0.13, 0.3, 1.4],
      [left + 0.2, 0.2, 2],
      [left + 0.26, 0.36, 1],
    ),
  );
};

const figure: DrawShape = (view, key, frame, nth) => {
  const { at } = frame;
  const [x, y, r] = [at.x(along(0.34, 0.12, nth, 0.8)), at.y(0.3), at.y(0.06)];
  view.add(key, 'coat', outlineCircle(x, y, r));
  view.add(key, 'coat', outlineRectangle(x - r * 1.2, y + r * 0.8, r * 2.4, r * 3, r * 0.8));
};

const arm: DrawShape = (view, key, frame, nth) =>
  void view.add(
    key,
    'coat',
    poly(
      frame,
      [0.44 + 0.06 * nth, 0.4, 0.6],
      [0.88, -0.12 + 0.1 * nth, 0.6],
      [0.92, -0.08 + 0.1 * nth, 0.6],
      [0.5 + 0.06 * nth, 0.46, 0.6],
    ),
  );

const blade: DrawShape = (view, key, frame, nth) =>
  void view.add(
    key,
    'coat',
    poly(
      frame,
      [-0.02 - 0.04 * nth, 0.5, 1],
      [0.02 - 0.04 * nth, 0.6, 1],
      [0.02 - 0.04 * nth, 0.9, 0.6],
      [-0.06 - 0.04 * nth, 0.94, 0.6],
    ),
  );

const spring: DrawShape = (view, key, { at }, nth) => {
  const [x, y, w, h] = [at.x(along(0.3, 0.14, nth, 0.8)), at.y(0.66), at.x(0.08), at.y(0.06)];
  const teeth = Array.from({ length: 7 }, (_, i): Corner => [x + (w * i) / 6, i % 2 ? y - h : y]);
  const back = [...teeth].reverse().map(([px, py]): Corner => [px, py + 0.6]);
  view.add(key, 'metal', outlinePolygon([...teeth, ...back]), { hidden: true });
};

const pin: DrawShape = (view, key, { at }, nth) => {
  const [x, y] = [at.x(along(0.5, 0.12, nth, 0.9)), at.y(0.5)];
  view.add(key, 'metal', outlineCircle(x, y, 1.1));
  view.add(key, 'line', outlineCircle(x, y, 0.4));
};

/** Which axles the nth of several wheels, tyres or axles stands for: one for all, two for one each. */
const axlesOf = ({ size }: VehicleFrame, nth: number, of: number) =>
  size.axlesMm.filter((_, i) => of <= 1 || i === nth % size.axlesMm.length);

/** A part that turns: which of several of its look it is, and whether its wheel wears a tyre. */
interface Turning {
  readonly key: string;
  readonly shape: PartShape;
  readonly nth: number;
  readonly of: number;
  readonly hasTyres: boolean;
}

/** Round things at the axles. */
export function drawAtAxles(view: ViewBuilder, { key, shape, nth, of, hasTyres }: Turning, frame: VehicleFrame): void {
  const { axleYMm: y, size } = frame;
  const r = size.wheelRadiusMm;
  const sunk = nth >= size.axlesMm.length ? 1.6 * (nth - size.axlesMm.length + 1) : 0;
  for (const x of axlesOf(frame, nth, of)) {
    if (shape === 'tyre') view.add(key, 'rubber', outlineCircle(x + sunk, y, r));
    else if (shape === 'axle') view.add(key, 'metal', outlineCircle(x + sunk, y, r * 0.17));
    else
      view
        .add(key, 'coat', outlineCircle(x + sunk, y, hasTyres ? r * 0.72 : r))
        .add(key, 'line', outlineCircle(x + sunk, y, r * 0.48))
        .add(key, 'shade', outlineCircle(x + sunk, y, r * 0.3));
  }
}

/** How each look is drawn from the side; what turns is drawn at the axles. */
export const PLAIN_SHAPES: Readonly<Record<Exclude<PartShape, 'wheel' | 'tyre' | 'axle'>, DrawShape>> = {
  ...{ shell, cab, bed, tank, box, plate, chassis, windows, seats, mechanism, door, bonnet, 'boot lid': bootLid },
  ...{ bumper, grille, strip, lamp, hook, drawbar, rack, load, figure, arm, blade, spring, pin },
};
