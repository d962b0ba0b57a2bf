import { straightenPoint, type Lens, type PictureSize } from './lens.ts';
import type { Picture } from './picture.ts';
import { mapPoint, type Homography } from './solveHomography.ts';

/** The part of the plane that is wanted, mm, and how finely. */
export interface Region {
  readonly left: number;
  readonly top: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly pixelsPerMm: number;
}

/** Called now and then with the share that is done; false ends the work. */
export type Progress = (share: number) => boolean;

/** Rows between two reports. */
const STRIP = 64;

/**
 * The plane of a picture seen straight from above: every pixel of the region is looked up through plane, lens and picture,
 * bilinearly. What lies outside the picture stays transparent. null when it was ended.
 *
 * `toPixel` maps millimetres to (straightened) pixels: the inverse of the homography that measures.
 */
export function rectifyPicture(
  picture: Picture,
  toPixel: Homography,
  lens: Lens | null,
  region: Region,
  report: Progress = () => true,
): Picture | null {
  const width = Math.round(region.widthMm * region.pixelsPerMm);
  const height = Math.round(region.heightMm * region.pixelsPerMm);
  const data = new Uint8ClampedArray(width * height * 4);
  const [a, b, c, d, e, f, g, h, i] = toPixel as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const step = 1 / region.pixelsPerMm;
  for (let row = 0; row < height; row++) {
    if (row % STRIP === 0 && !report(row / height)) return null;
    const y = region.top + (row + 0.5) * step;
    for (let column = 0; column < width; column++) {
      const x = region.left + (column + 0.5) * step;
      const w = 1 / (g * x + h * y + i);
      let px = (a * x + b * y + c) * w;
      let py = (d * x + e * y + f) * w;
      if (lens) {
        // bendPoint, written out: this is the inner loop of twelve million pixels.
        const u = (px - lens.middle.x) / lens.radius;
        const v = (py - lens.middle.y) / lens.radius;
        const stretch = 2 / (1 + Math.sqrt(Math.max(0, 1 - 4 * lens.k * (u * u + v * v))));
        px = lens.middle.x + lens.radius * u * stretch;
        py = lens.middle.y + lens.radius * v * stretch;
      }
      sampleInto(picture, px, py, data, (row * width + column) * 4);
    }
  }
  report(1);
  return { width, height, data };
}

/** Bilinear, in place; pixel (0, 0) has its middle at (0, 0). */
function sampleInto(
  { width, height, data }: Picture,
  x: number,
  y: number,
  target: Uint8ClampedArray,
  at: number,
): void {
  const [x0, y0] = [Math.floor(x), Math.floor(y)];
  if (!(x0 >= 0 && y0 >= 0 && x0 < width - 1 && y0 < height - 1)) return;
  const [fx, fy] = [x - x0, y - y0];
  const from = (y0 * width + x0) * 4;
  const below = from + width * 4;
  const [w00, w10, w01, w11] = [(1 - fx) * (1 - fy), fx * (1 - fy), (1 - fx) * fy, fx * fy];
  for (let channel = 0; channel < 3; channel++)
    target[at + channel] =
      w00 * data[from + channel]! +
      w10 * data[from + 4 + channel]! +
      w01 * data[below + channel]! +
      w11 * data[below + 4 + channel]!;
  target[at + 3] = 255;
}

/** Farther from the origin of the plane than this nothing is drawn: a tilted picture may reach to its horizon. */
const FARTHEST_MM = 250;

/** What of the plane a picture shows: the box round its corners, mm. */
export function findRegion(
  toPlane: Homography,
  lens: Lens | null,
  { widthPx, heightPx }: PictureSize,
): Omit<Region, 'pixelsPerMm'> {
  const corners = [
    { x: 0, y: 0 },
    { x: widthPx, y: 0 },
    { x: widthPx, y: heightPx },
    { x: 0, y: heightPx },
  ].map((pixel) => mapPoint(toPlane, lens ? straightenPoint(lens, pixel) : pixel));
  const clamp = (value: number) => Math.min(FARTHEST_MM, Math.max(-FARTHEST_MM, value));
  const xs = corners.map((point) => clamp(point.x));
  const ys = corners.map((point) => clamp(point.y));
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return { left, top, widthMm: Math.max(...xs) - left, heightMm: Math.max(...ys) - top };
}
