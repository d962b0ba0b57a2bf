import { computeLab, computeXyz, type Spectrum } from './colorimetry.ts';
import { computeDe00 } from './difference.ts';
import { predictMix, predictOver, USUAL_SURFACE, type PaintOptics, type Surface } from './kubelkaMunk.ts';

/** Nearer to the infinitely thick film than this nobody sees the ground. */
const HIDDEN_DE = 1;
const MOST_COATS = 12;
const CONTRAST = 0.98;

export interface Hiding {
  /** Coats until the ground no longer shows; null where twelve are not enough. */
  readonly coats: number | null;
  /** dE00 to the infinitely thick film after each coat. */
  readonly deByCoat: readonly number[];
}

/** Coats of a paint (K and S absolute, 1/mm) until a measured ground no longer shows through. */
export function computeCoatsToHide(
  paint: PaintOptics,
  coatUm: number,
  ground: Spectrum,
  surface: Surface = USUAL_SURFACE,
): Hiding {
  const thick = computeLab(predictMix([paint], [1], surface));
  const deByCoat: number[] = [];
  for (let coat = 1; coat <= MOST_COATS; coat++) {
    deByCoat.push(computeDe00(thick, computeLab(predictOver(paint, (coat * coatUm) / 1000, ground, surface))));
    if (deByCoat.at(-1)! <= HIDDEN_DE) return { coats: coat, deByCoat };
  }
  return { coats: null, deByCoat };
}

/** Luminance over black by that over white, 0 to 1; from 0.98 a film counts as hiding. */
export function computeContrastRatio(paint: PaintOptics, filmUm: number, surface: Surface = USUAL_SURFACE) {
  const over = (reflectance: number) =>
    computeXyz(predictOver(paint, filmUm / 1000, new Float64Array(paint.k.length).fill(reflectance), surface))[1];
  const ratio = over(0.05) / over(0.85);
  return { ratio, isHiding: ratio >= CONTRAST };
}
