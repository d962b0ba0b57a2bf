import type { Spectrum } from '../../colour/colorimetry.ts';
import { convertHexToLab } from '../../colour/display.ts';
import { predictMix } from '../../colour/kubelkaMunk.ts';
import { selectOptics, surfaceOf } from '../../colour/paintOptics.ts';
import { reconstructNear } from '../../colour/reconstructNear.ts';
import type { PaintProduct } from '../../model/work.ts';

const WITHOUT_GLOSS = surfaceOf('gloss left out');

/** Reflectance of a coat that hides what is below it, gloss left out: by its paint, else by its colour on the screen. */
export function reflectBody(
  product: Pick<PaintProduct, 'gloss' | 'kind' | 'optics' | 'colourHex'> | null,
  hex: string,
): Spectrum {
  const optics = product && selectOptics(product);
  if (optics) return predictMix([optics], [1], WITHOUT_GLOSS);
  return reconstructNear(convertHexToLab(hex));
}
