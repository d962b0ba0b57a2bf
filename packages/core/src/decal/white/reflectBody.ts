import type { Spectrum } from '../../colour/colorimetry.ts';
import { convertHexToLab } from '../../colour/display.ts';
import { predictMix } from '../../colour/kubelkaMunk.ts';
import { selectOptics, surfaceOf } from '../../colour/paintOptics.ts';
import { reconstructFromLab } from '../../colour/smoothReflectance.ts';
import type { PaintProduct } from '../../model/work.ts';

const WITHOUT_GLOSS = surfaceOf('gloss left out');
/** What no reflectance gives is brought so much nearer to grey at a time. */
const PALER = 0.94;

/** Reflectance of a coat that hides what is below it, gloss left out: by its paint, else by its colour on the screen. */
export function reflectBody(
  product: Pick<PaintProduct, 'gloss' | 'kind' | 'optics' | 'colourHex'> | null,
  hex: string,
): Spectrum {
  const optics = product && selectOptics(product);
  if (optics) return predictMix([optics], [1], WITHOUT_GLOSS);
  let [l, a, b] = convertHexToLab(hex);
  for (;;) {
    try {
      return reconstructFromLab([l, a, b]);
    } catch {
      // White of a screen is lighter than any paint.
      [l, a, b] = [Math.min(l, 98) * 0.995, PALER * a, PALER * b];
    }
  }
}
