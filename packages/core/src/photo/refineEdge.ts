import type { Point } from '../model/plane.ts';
import { readGrey, sampleGrey, type Picture } from './picture.ts';

/** The edge must be at least this steep, grey levels a pixel. */
const LEAST_SLOPE = 4;
/** Pixels to each side along the edge over which its profile is averaged. */
const ALONG = 2;

/**
 * The nearest strong edge to a pixel that was pointed at, to a fraction of a pixel: the point moves across the edge only, to
 * where the averaged profile is steepest (parabola through the three steepest slopes). null where there is no edge within
 * `reach` pixels.
 */
export function refineEdge(picture: Picture, at: Point, reach = 6): Point | null {
  const across = findDirection(picture, at, reach);
  if (!across) return null;
  const along = { x: -across.y, y: across.x };
  const profile = Array.from({ length: 2 * reach + 3 }, (_, i) => {
    const t = i - reach - 1;
    let sum = 0;
    for (let s = -ALONG; s <= ALONG; s++)
      sum += sampleGrey(picture, at.x + t * across.x + s * along.x, at.y + t * across.y + s * along.y);
    return sum / (2 * ALONG + 1);
  });
  const slopes = profile.slice(2).map((value, i) => Math.abs(value - profile[i]!) / 2);
  // The nearer of two equally steep edges was meant.
  const weight = (i: number) => slopes[i]! / (1 + Math.abs(i - reach) / reach);
  let best = 0;
  for (let i = 1; i < slopes.length; i++) if (weight(i) > weight(best)) best = i;
  if (slopes[best]! < LEAST_SLOPE) return null;
  const [before, peak, after] = [slopes[best - 1] ?? 0, slopes[best]!, slopes[best + 1] ?? 0];
  const curve = before - 2 * peak + after;
  const shift = curve < 0 ? Math.max(-0.5, Math.min(0.5, (0.5 * (before - after)) / curve)) : 0;
  const t = best - reach + shift;
  return { x: at.x + t * across.x, y: at.y + t * across.y };
}

/** Across the edge: the main direction of the grey slopes round the point, each by its square. */
function findDirection(picture: Picture, at: Point, reach: number): Point | null {
  let [xx, xy, yy] = [0, 0, 0];
  for (let v = -reach; v <= reach; v++)
    for (let u = -reach; u <= reach; u++) {
      const [x, y] = [Math.round(at.x) + u, Math.round(at.y) + v];
      const dx = (readGrey(picture, x + 1, y) - readGrey(picture, x - 1, y)) / 2;
      const dy = (readGrey(picture, x, y + 1) - readGrey(picture, x, y - 1)) / 2;
      const near = Math.exp(-(u * u + v * v) / (reach * reach));
      xx += near * dx * dx;
      xy += near * dx * dy;
      yy += near * dy * dy;
    }
  if (xx + yy === 0) return null;
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  return { x: Math.cos(angle), y: Math.sin(angle) };
}
