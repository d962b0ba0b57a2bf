import type { Geometry } from '../model/reading.ts';
import type { PaintProduct } from '../model/work.ts';
import { computeLab, type Lab } from './colorimetry.ts';
import { convertHexToLab } from './display.ts';
import { computeCoatsToHide } from './hiding.ts';
import { predictOver, type PaintOptics } from './kubelkaMunk.ts';
import { surfaceOf } from './paintOptics.ts';
import { reconstructFromLab } from './smoothReflectance.ts';

/** A colour over one primer. */
export interface CoveredGround {
  readonly product: PaintProduct;
  readonly groundLab: Lab;
  /** Coats until the primer no longer shows; null where twelve are not enough. */
  readonly coats: number | null;
  /** As it looks after one coat, and dE00 to what it will be. */
  readonly afterOneLab: Lab;
  readonly afterOneDe: number;
}

/** How a mix looks over each primer of the shelf, and how many coats it takes; the fewest first. */
export function coverGrounds(
  mix: PaintOptics,
  coatUm: number,
  products: readonly PaintProduct[],
  geometry: Geometry,
): CoveredGround[] {
  const surface = surfaceOf(geometry);
  return products
    .filter((product) => product.kind === 'primer')
    .map((product): CoveredGround => {
      const groundLab = convertHexToLab(product.colourHex);
      const ground = reconstructFromLab(groundLab);
      const { coats, deByCoat } = computeCoatsToHide(mix, coatUm, ground, surface);
      const afterOneLab = computeLab(predictOver(mix, coatUm / 1000, ground, surface));
      return { product, groundLab, coats, afterOneLab, afterOneDe: deByCoat[0]! };
    })
    .sort((a, b) => (a.coats ?? 99) - (b.coats ?? 99) || a.afterOneDe - b.afterOneDe);
}
