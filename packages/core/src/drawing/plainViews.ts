import type { DrawingView } from '../model/drawing.ts';
import { createView } from './createView.ts';
import { outlineCircle, outlinePolygon, outlineRectangle } from './paths.ts';

export interface PlainViewSize {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  /** Axle positions along the length. */
  readonly axlesMm: readonly number[];
  readonly wheelRadiusMm: number;
  /** Rivet or screw heads along the middle of the base. */
  readonly postsMm: readonly number[];
  readonly hasTyres?: boolean;
}

/** Whose part each plain shape is; null where the model has none. */
export interface PlainKeys {
  readonly body: string;
  readonly base: string;
  readonly wheels: string | null;
  readonly tyres: string | null;
  readonly axles: string | null;
  readonly glazing: string | null;
}

const usualKeys = ({ hasTyres = true }: PlainViewSize): PlainKeys => ({
  ...{ body: 'body', base: 'base', wheels: 'wheels', tyres: hasTyres ? 'tyres' : null, axles: 'axles' },
  glazing: 'glazing',
});

/** The underside: base plate, axles, wheels at both sides, post heads and the lettering panel. */
export function createBaseView(size: PlainViewSize, keys: PlainKeys = usualKeys(size)): DrawingView {
  const { lengthMm, widthMm, axlesMm, wheelRadiusMm: r, postsMm } = size;
  const { body, base, wheels, tyres, axles } = keys;
  const turning = tyres ?? wheels;
  const tread = r * 0.75;
  const view = createView('base', lengthMm, widthMm);
  view.add(body, 'coat', outlineRectangle(0.5, 1.5, lengthMm - 1, widthMm - 3, 3));
  view.add(base, 'coat', outlineRectangle(2.5, 4, lengthMm - 5, widthMm - 8, 2));
  for (const x of axlesMm) {
    view.add(base, 'dark', outlineRectangle(x - r * 1.1, 1.5, r * 2.2, tread + 1.5, 1));
    view.add(base, 'dark', outlineRectangle(x - r * 1.1, widthMm - tread - 3, r * 2.2, tread + 1.5, 1));
    if (axles) view.add(axles, 'metal', outlineRectangle(x - 0.6, 1, 1.2, widthMm - 2, 0.5));
    for (const y of [1, widthMm - 1 - tread]) {
      if (turning) view.add(turning, tyres ? 'rubber' : 'coat', outlineRectangle(x - r, y, r * 2, tread, 1));
      if (wheels) view.add(wheels, 'shade', outlineRectangle(x - r * 0.6, y + tread * 0.3, r * 1.2, tread * 0.4, 0.4));
    }
  }
  const middle = widthMm / 2;
  view.add(base, 'shade', outlineRectangle(lengthMm * 0.34, middle - 3.2, lengthMm * 0.32, 6.4, 0.8));
  for (const [dy, length] of [
    [-1.6, 0.24],
    [0.6, 0.18],
  ] as const) {
    view.add(base, 'light', outlineRectangle(lengthMm * 0.37, middle + dy, lengthMm * length, 1, 0.3));
  }
  for (const x of postsMm) {
    view.add(base, 'metal', outlineCircle(x, middle, 1.7));
    view.add(base, 'line', outlineCircle(x, middle, 1));
  }
  return view
    .anchor('base-text', lengthMm * 0.5, middle)
    .anchor('base-finish', lengthMm * 0.22, middle + widthMm * 0.2)
    .anchor('axle-ends', axlesMm[0] ?? lengthMm / 4, 2)
    .build();
}

/** The front: body section with screen and grille, and the wheels at their track. */
export function createEndView(size: PlainViewSize, keys: PlainKeys = usualKeys(size)): DrawingView {
  const { widthMm, heightMm, wheelRadiusMm: r } = size;
  const { body, wheels, tyres, axles, glazing } = keys;
  const turning = tyres ?? wheels;
  const axleY = heightMm - r;
  const tread = r * 0.75;
  const floor = heightMm - r * 0.8;
  const view = createView('end', widthMm, heightMm);
  if (axles) view.add(axles, 'metal', outlineRectangle(0.5, axleY - 0.6, widthMm - 1, 1.2, 0.5));
  for (const x of [1, widthMm - 1 - tread]) {
    if (turning) view.add(turning, tyres ? 'rubber' : 'coat', outlineRectangle(x, heightMm - 2 * r, tread, 2 * r, 1.2));
  }
  view.add(
    body,
    'coat',
    outlinePolygon([
      [1.5, floor, 1],
      [1.5, heightMm * 0.42, 2.5],
      [4, 1.5, 3],
      [widthMm - 4, 1.5, 3],
      [widthMm - 1.5, heightMm * 0.42, 2.5],
      [widthMm - 1.5, floor, 1],
    ]),
  );
  if (glazing)
    view.add(
      glazing,
      'glass',
      outlinePolygon([
        [5.4, heightMm * 0.4, 0.8],
        [6, 4.5, 1.5],
        [widthMm - 6, 4.5, 1.5],
        [widthMm - 5.4, heightMm * 0.4, 0.8],
      ]),
    );
  view.add(body, 'shade', outlineRectangle(widthMm * 0.3, heightMm * 0.52, widthMm * 0.4, heightMm * 0.14, 0.8));
  for (let i = 1; i < 6; i++)
    view.add(body, 'line', outlineRectangle(widthMm * (0.3 + 0.066 * i), heightMm * 0.53, 0.3, heightMm * 0.12));
  for (const x of [0.2, 0.8]) view.add(body, 'light', outlineCircle(widthMm * x, heightMm * 0.58, heightMm * 0.05));
  view.add(body, 'shade', outlineRectangle(2.5, floor - 2.2, widthMm - 5, 2.2, 0.6));
  return view.anchor('grille', widthMm * 0.5, heightMm * 0.58).build();
}
