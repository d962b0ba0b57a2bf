import { InvalidInputError } from '../../model/errors.ts';
import type { Point } from '../../model/plane.ts';
import type { Picture } from '../../photo/picture.ts';
import type { Lab } from '../colorimetry.ts';
import { CARD_PATCHES } from './colourCard.ts';
import { convertCameraToLab, type CameraFit } from './fitCamera.ts';
import { readPixel } from './readField.ts';

export interface ColourSample {
  readonly lab: Lab;
  /** One standard deviation of each coordinate: the place's own spread, the fit of the card, and the light between them. */
  readonly sd: Lab;
  /** Pixels that count, of those under the loupe. */
  readonly kept: number;
  readonly seen: number;
}

/** A channel this near to full is a highlight. */
const BURNT = 0.94;
/** Farther from the middle than this, in robust standard deviations: an edge, a chip, a speck. */
const FARTHEST = 2.5;
const LEAST_KEPT = 12;
/** So far in Lab from the nearest field of the card its fit is half as sure (planning estimate). */
const FAR_LAB = 25;
/** Light between the card and the place may differ by so much in L* (planning estimate). */
const LIGHT_SD = 0.5;

/**
 * The colour under a loupe: the middle of the pixels that belong together. Highlights are dropped, then whatever lies far from
 * the median (edges, chips, dirt), twice.
 *
 * Throws InvalidInputError where too little is left: a highlight, or no even place.
 */
export function sampleColour(picture: Picture, fit: CameraFit, at: Point, radiusPx: number): ColourSample {
  const all: (readonly number[])[] = [];
  const reach = Math.ceil(radiusPx);
  for (let dy = -reach; dy <= reach; dy++)
    for (let dx = -reach; dx <= reach; dx++) {
      if (dx * dx + dy * dy > radiusPx * radiusPx) continue;
      const pixel = readPixel(picture, { x: at.x + dx, y: at.y + dy });
      if (pixel) all.push(pixel);
    }
  let kept = all.filter((pixel) => pixel.every((one) => one < BURNT));
  for (let round = 0; round < 2 && kept.length > 0; round++) {
    const middles = [0, 1, 2].map((c) => middleOf(kept.map((pixel) => pixel[c]!)));
    kept = kept.filter((pixel) =>
      pixel.every((one, c) => Math.abs(one - middles[c]!.median) <= FARTHEST * middles[c]!.sd + 1e-4),
    );
  }
  if (kept.length < LEAST_KEPT)
    throw new InvalidInputError(
      'no-even-place',
      'There is no even paint under the loupe: a highlight, or an edge. Choose another place or a smaller loupe.',
      'point',
    );
  const mean = [0, 1, 2].map((c) => kept.reduce((sum, pixel) => sum + pixel[c]!, 0) / kept.length);
  const spread = [0, 1, 2].map((c) =>
    Math.sqrt(kept.reduce((sum, pixel) => sum + (pixel[c]! - mean[c]!) ** 2, 0) / kept.length),
  );
  const lab = convertCameraToLab(fit, mean, at);
  // Neighbouring pixels of a compressed picture are not independent: four stand for one.
  const root = Math.sqrt(kept.length / 4);
  const moved = [0, 1, 2].map((c) =>
    convertCameraToLab(
      fit,
      mean.map((one, i) => (i === c ? one + spread[c]! / root + 1e-5 : one)),
      at,
    ),
  );
  const nearest = Math.min(...CARD_PATCHES.map((patch) => Math.hypot(...patch.lab.map((one, i) => one - lab[i]!))));
  const far = 1 + nearest / FAR_LAB;
  const sd = lab.map((one, i) =>
    Math.hypot(...moved.map((other) => other[i]! - one), far * fit.labSd[i]!, i === 0 ? LIGHT_SD : 0),
  ) as unknown as Lab;
  return { lab, sd, kept: kept.length, seen: all.length };
}

function middleOf(list: number[]): { median: number; sd: number } {
  const sorted = list.sort((a, b) => a - b);
  const median = sorted[Math.floor(sorted.length / 2)]!;
  const off = sorted.map((one) => Math.abs(one - median)).sort((a, b) => a - b);
  return { median, sd: 1.4826 * off[Math.floor(off.length / 2)]! };
}
