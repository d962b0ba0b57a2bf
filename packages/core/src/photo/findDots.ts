import type { Point } from '../model/plane.ts';
import type { Picture } from './picture.ts';

/** A round dark spot with light all round it. */
export interface Dot extends Point {
  /** Of a circle with the same area, px. */
  readonly radius: number;
  /** How much darker it is than what lies round it, of 255. */
  readonly contrast: number;
}

/** Longer side of the picture that is searched, px: a dot of a card that fills a third of it is still ten across. */
const SEARCHED_PX = 1600;
/** Half widths of the windows that a pixel is compared with, px of the searched picture. */
const WINDOWS = [5, 8, 12, 18, 27, 40, 60] as const;
/** Darker than the window's mean by this share of it, and by this much, of 255. */
const DARKER = { share: 0.08, least: 5 } as const;
/** Span of a spot in half windows: smaller ones are grain there, larger ones fill the window. */
const SPAN = { least: 0.35, most: 1.5 } as const;
const LEAST_SPAN_PX = 3;
/** Area of the spot, of the ellipse in its box. */
const FILLED = { least: 0.68, most: 1.25 } as const;
/** Shorter axis of the spot, of its longer one: a dot that is seen at 60 degrees. */
const LEAST_ASPECT = 0.45;
const LEAST_CONTRAST = 18;
/** The ring that must be light, in radii; of its samples so many. */
const RING = { radii: 1.9, samples: 16, light: 12 } as const;
/** More than this many spots are not looked at: the darkest and roundest count. */
const MOST_DOTS = 60;

/**
 * Round dark spots on light ground anywhere in a picture, the clearest first: connected pixels that are darker than the mean
 * of a window round them, for windows of several sizes, if they are as full as an ellipse and have a light ring.
 */
export function findDots(picture: Picture): Dot[] {
  const small = shrink(picture);
  const sums = integrate(small);
  const found = WINDOWS.flatMap((half) => findSpots(small, sums, half));
  const kept: Dot[] = [];
  for (const dot of found.sort((a, b) => b.contrast - a.contrast))
    if (kept.every((one) => Math.hypot(one.x - dot.x, one.y - dot.y) > 0.7 * (one.radius + dot.radius))) kept.push(dot);
  const { scale } = small;
  // Middle of pixel (0, 0) is (0, 0), in both pictures.
  const back = (value: number) => (value + 0.5) * scale - 0.5;
  return kept
    .slice(0, MOST_DOTS)
    .map(({ x, y, radius, contrast }) => ({ x: back(x), y: back(y), radius: radius * scale, contrast }));
}

interface Grey {
  readonly width: number;
  readonly height: number;
  readonly grey: Float32Array;
  readonly scale: number;
}

function shrink({ width, height, data }: Picture): Grey {
  const scale = Math.max(1, Math.ceil(Math.max(width, height) / SEARCHED_PX));
  const [w, h] = [Math.floor(width / scale), Math.floor(height / scale)];
  const grey = new Float32Array(w * h);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      let sum = 0;
      for (let dy = 0; dy < scale; dy++)
        for (let dx = 0; dx < scale; dx++) {
          const at = ((y * scale + dy) * width + x * scale + dx) * 4;
          sum += 0.2126 * data[at]! + 0.7152 * data[at + 1]! + 0.0722 * data[at + 2]!;
        }
      grey[y * w + x] = sum / (scale * scale);
    }
  return { width: w, height: h, grey, scale };
}

/** Sums of all pixels above and left of each; one row and column more than the picture. */
function integrate({ width, height, grey }: Grey): Float64Array {
  const sums = new Float64Array((width + 1) * (height + 1));
  for (let y = 0; y < height; y++) {
    let row = 0;
    for (let x = 0; x < width; x++) {
      row += grey[y * width + x]!;
      sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1]! + row;
    }
  }
  return sums;
}

function findSpots(small: Grey, sums: Float64Array, half: number): Dot[] {
  const dark = markDark(small, sums, half);
  const { width } = small;
  const dots: Dot[] = [];
  const stack: number[] = [];
  for (let start = 0; start < dark.length; start++) {
    if (dark[start] !== 1) continue;
    dark[start] = 2;
    stack.push(start);
    const spot = createSpot();
    while (stack.length > 0) {
      const at = stack.pop()!;
      addPixel(spot, at % width, Math.floor(at / width));
      for (const next of [at - 1, at + 1, at - width, at + width])
        if (dark[next] === 1) {
          dark[next] = 2;
          stack.push(next);
        }
    }
    const dot = judgeSpot(spot, small, half);
    if (dot) dots.push(dot);
  }
  return dots;
}

/** 1 where a pixel is clearly darker than its window; the border of the picture never is. */
function markDark({ width, height, grey }: Grey, sums: Float64Array, half: number): Uint8Array {
  const dark = new Uint8Array(width * height);
  const row = width + 1;
  for (let y = 1; y < height - 1; y++) {
    const [top, bottom] = [Math.max(0, y - half), Math.min(height, y + half + 1)];
    for (let x = 1; x < width - 1; x++) {
      const [left, right] = [Math.max(0, x - half), Math.min(width, x + half + 1)];
      const sum =
        sums[bottom * row + right]! - sums[top * row + right]! - sums[bottom * row + left]! + sums[top * row + left]!;
      const mean = sum / ((bottom - top) * (right - left));
      if (grey[y * width + x]! < mean - Math.max(DARKER.least, DARKER.share * mean)) dark[y * width + x] = 1;
    }
  }
  return dark;
}

const createSpot = () => ({
  count: 0,
  x: 0,
  y: 0,
  xx: 0,
  xy: 0,
  yy: 0,
  left: Infinity,
  right: 0,
  top: Infinity,
  bottom: 0,
});
type Spot = ReturnType<typeof createSpot>;

function addPixel(spot: Spot, x: number, y: number): void {
  spot.count++;
  spot.x += x;
  spot.y += y;
  spot.xx += x * x;
  spot.xy += x * y;
  spot.yy += y * y;
  spot.left = Math.min(spot.left, x);
  spot.right = Math.max(spot.right, x);
  spot.top = Math.min(spot.top, y);
  spot.bottom = Math.max(spot.bottom, y);
}

function judgeSpot(spot: Spot, small: Grey, half: number): Dot | null {
  const [wide, high] = [spot.right - spot.left + 1, spot.bottom - spot.top + 1];
  const span = Math.max(wide, high);
  if (Math.min(wide, high) < LEAST_SPAN_PX || span < SPAN.least * half || span > SPAN.most * half) return null;
  const filled = spot.count / ((Math.PI / 4) * wide * high);
  if (filled < FILLED.least || filled > FILLED.most) return null;
  const [x, y] = [spot.x / spot.count, spot.y / spot.count];
  // A pixel has a spread of its own.
  const [xx, yy, xy] = [
    spot.xx / spot.count - x * x + 1 / 12,
    spot.yy / spot.count - y * y + 1 / 12,
    spot.xy / spot.count - x * y,
  ];
  const root = Math.sqrt(((xx - yy) / 2) ** 2 + xy * xy);
  if (Math.sqrt(((xx + yy) / 2 - root) / ((xx + yy) / 2 + root)) < LEAST_ASPECT) return null;
  const radius = Math.sqrt(spot.count / Math.PI);
  const contrast = readContrast(small, { x, y }, [xx, xy, yy]);
  return contrast < LEAST_CONTRAST ? null : { x, y, radius, contrast };
}

/** Of the middle against a ring of its own shape round it; 0 where the ring is not light. */
function readContrast(
  { width, height, grey }: Grey,
  { x, y }: Point,
  [xx, xy, yy]: readonly [number, number, number],
): number {
  // Half axes of the ellipse with these moments: twice the root; by Cholesky, so that a circle maps onto it.
  const a = 2 * Math.sqrt(xx);
  const b = (4 * xy) / a;
  const c = Math.sqrt(Math.max(0, 4 * yy - b * b));
  const read = (u: number, v: number): number => {
    const [px, py] = [Math.round(x + a * u), Math.round(y + b * u + c * v)];
    return px < 0 || py < 0 || px >= width || py >= height ? NaN : grey[py * width + px]!;
  };
  const dark = (read(0, 0) + read(0.4, 0) + read(-0.4, 0) + read(0, 0.4) + read(0, -0.4)) / 5;
  const ring = Array.from({ length: RING.samples }, (_, i) => {
    const angle = (2 * Math.PI * i) / RING.samples;
    return read(RING.radii * Math.cos(angle), RING.radii * Math.sin(angle));
  })
    .map((one) => (Number.isNaN(one) ? -1 : one))
    .sort((p, q) => q - p);
  const bright = ring[Math.floor(RING.light / 2)]!;
  const contrast = bright - dark;
  return ring[RING.light - 1]! > dark + 0.6 * contrast ? contrast : 0;
}
