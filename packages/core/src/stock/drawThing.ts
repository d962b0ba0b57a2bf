import type { StockKind, StockSizes, StockTraits } from '../model/stock.ts';
import { THREADS, type Thread } from '../model/thread.ts';

/** A thing as it lies in its drawer, to scale: an SVG path in millimetres from its upper left corner; what is open in it is cut out. */
export interface ThingShape {
  readonly width: number;
  readonly height: number;
  readonly d: string;
}

/** Of things of which nobody measured enough: a box that says nothing (planning estimate). */
const UNKNOWN_MM = 8;

type Drawn = { readonly kind: StockKind; readonly sizes: StockSizes; readonly traits: StockTraits };

/** One piece of a thing from the side that tells most of it: an axle along, a wheel from its face. null where it has no size. */
export function drawThing({ kind, sizes, traits }: Drawn): ThingShape | null {
  const { diameter, length, width, height, bore } = sizes;
  switch (kind) {
    case 'axle':
      return drawAxle(length ?? null, diameter ?? 1, sizes.headHeight ?? 0.6, traits.ends);
    case 'wheel':
    case 'tyre':
    case 'washer':
      return diameter ? drawRing(diameter, bore ?? 0) : null;
    case 'screw':
      return length ? drawScrew(length, sizes.headDiameter ?? null, traits) : null;
    case 'rivet':
      return length ? drawHeaded(length, diameter ?? 2, sizes.headDiameter ?? 2 * (diameter ?? 2)) : null;
    case 'false head':
      return diameter ? drawRing(diameter, 0) : null;
    case 'wire':
    case 'tube':
      // Of what is cut from a length the section is seen.
      return diameter ? drawRing(diameter, bore ?? 0) : null;
    default:
      return length || width ? drawBox(length ?? width!, width && length ? width : (height ?? UNKNOWN_MM)) : null;
  }
}

const say = (mm: number): string => String(Number(mm.toFixed(2)));

const drawBox = (width: number, height: number): ThingShape => ({
  ...{ width, height },
  d: `M0 0H${say(width)}V${say(height)}H0Z`,
});

const circle = (middle: number, radius: number): string =>
  `M${say(middle - radius)} ${say(middle)}a${say(radius)} ${say(radius)} 0 1 0 ${say(2 * radius)} 0a${say(radius)} ${say(radius)} 0 1 0 ${say(-2 * radius)} 0Z`;

function drawRing(diameter: number, bore: number): ThingShape {
  const middle = diameter / 2;
  return {
    ...{ width: diameter, height: diameter },
    d: circle(middle, middle) + (bore > 0 && bore < diameter ? circle(middle, bore / 2) : ''),
  };
}

/** Heads stand over the shaft by half of it on either side; a flat is as much wider. */
function drawAxle(length: number | null, diameter: number, head: number, ends: string | undefined): ThingShape | null {
  if (length === null) return null;
  const wide = diameter * 2;
  const [top, bottom] = [(wide - diameter) / 2, (wide + diameter) / 2];
  const isHeaded = (end: 'left' | 'right') =>
    ends?.startsWith('both ') ? ends !== 'both bare' : ends !== undefined && end === 'left';
  const isFlat = ends?.endsWith('crimped') ?? false;
  const cap = (at: number, toward: 1 | -1) => {
    const face = at + toward * head;
    return isFlat
      ? `M${say(at)} 0L${say(face)} ${say(top / 2)}V${say(wide - top / 2)}L${say(at)} ${say(wide)}Z`
      : `M${say(at)} 0Q${say(at + 1.6 * toward * head)} ${say(wide / 2)} ${say(at)} ${say(wide)}Z`;
  };
  const [left, right] = [isHeaded('left') ? head : 0, isHeaded('right') ? length - head : length];
  return {
    ...{ width: length, height: wide },
    d: [
      `M${say(left)} ${say(top)}H${say(right)}V${say(bottom)}H${say(left)}Z`,
      ...(isHeaded('left') ? [cap(left, -1)] : []),
      ...(isHeaded('right') ? [cap(right, 1)] : []),
    ].join(''),
  };
}

function drawScrew(length: number, headDiameter: number | null, { thread, head }: StockTraits): ThingShape {
  const diameter = thread && thread in THREADS ? THREADS[thread as Thread].diameter : 2;
  return drawHeaded(length, diameter, head === 'none' ? diameter : (headDiameter ?? 1.9 * diameter));
}

/** A head, and its shaft below it: lying on its side. */
function drawHeaded(length: number, diameter: number, head: number): ThingShape {
  const high = head > diameter ? 0.5 * diameter : 0;
  const [top, bottom] = [(head - diameter) / 2, (head + diameter) / 2];
  return {
    ...{ width: length + high, height: head },
    d: `M0 0H${say(high)}V${say(top)}H${say(high + length)}V${say(bottom)}H${say(high)}V${say(head)}H0Z`,
  };
}
