import type { OpticsRecord } from '../model/colour.ts';
import type { Geometry, LabColour } from '../model/reading.ts';
import type { Finish, PaintPot, PaintProduct } from '../model/work.ts';
import { computeLab, type Lab, type Spectrum } from './colorimetry.ts';
import type { Illuminant } from './cieTables.ts';
import { convertHexToLab } from './display.ts';
import {
  computeQ,
  mixOptics,
  predictMix,
  removeSurface,
  USUAL_SURFACE,
  type PaintOptics,
  type Surface,
} from './kubelkaMunk.ts';
import type { ShelfPaint } from './match/shelfOptics.ts';
import { reconstructFromLab } from './smoothReflectance.ts';
import { sumLeft } from './sumLeft.ts';

/** Scattering that is assumed where only a colour is known, 1/mm (planning estimate: white paints have about 120). */
const ASSUMED_S = 60;

export const surfaceOf = (geometry: Geometry): Surface => ({
  ...USUAL_SURFACE,
  hasGloss: geometry === 'gloss included',
});

/** Metal flakes, pearl, candy and fluorescence are outside Kubelka-Munk: no difference is worked out for them. */
export const isOutsideModel = (gloss: Finish): boolean =>
  gloss === 'metallic' || gloss === 'pearl' || gloss === 'candy' || gloss === 'fluorescent';

/**
 * K and S of a paint of which only the colour is known: the smoothest reflectance of that colour, and scattering as paints
 * usually have. Good for finding the pot; mixes from it are guesses that the first patch corrects.
 *
 * Throws InvalidInputError for a colour that no paint has.
 */
export function createOpticsFromColour(lab: Lab, geometry: Geometry): OpticsRecord {
  return { ...assumeScattering(reconstructFromLab(lab), surfaceOf(geometry)), basis: 'colour only' };
}

/** K and S of a thick film of which only the reflectance is known: their ratio is measured, scattering is assumed. */
export function assumeScattering(spectrum: Spectrum, surface: Surface): Pick<OpticsRecord, 'k' | 's'> {
  const k = Array.from(spectrum, (one) => ASSUMED_S * computeQ(removeSurface(one, surface)));
  return { k, s: k.map(() => ASSUMED_S) };
}

/** What is known of a product's K and S: its own, or what its colour says. null outside the model. */
export function selectOptics(
  product: Pick<PaintProduct, 'gloss' | 'kind' | 'optics' | 'colourHex'>,
): OpticsRecord | null {
  if (isOutsideModel(product.gloss) || product.kind === 'clear' || product.kind === 'brightwork') return null;
  return product.optics ?? createOpticsFromColour(convertHexToLab(product.colourHex), 'gloss left out');
}

/** Colour of a thick film of a paint. */
export const computePaintLab = (optics: PaintOptics, geometry: Geometry, illuminant: Illuminant = 'D65'): LabColour =>
  computeLab(predictMix([optics], [1], surfaceOf(geometry)), illuminant);

/** Only liquid colours are mixed with each other, and only those of which something is known. */
export const mayBeMixed = (product: PaintProduct): boolean =>
  product.kind === 'colour' && product.binder !== 'powder' && selectOptics(product) !== null;

/**
 * The pots that a mix may be made from, as the solver wants them: one entry a product, with all its pots together. Binders do
 * not mix with each other. What is in a mix already stays, although its pot may be empty by now.
 */
export function createShelfPaints(
  products: readonly PaintProduct[],
  pots: readonly PaintPot[],
  inMix: readonly string[] = [],
): ShelfPaint[] {
  return products.flatMap((product): ShelfPaint[] => {
    const leftMl = sumLeft(pots, product.id);
    const optics = mayBeMixed(product) && (leftMl > 0 || inMix.includes(product.id)) ? selectOptics(product) : null;
    if (!optics) return [];
    return [
      { id: product.id, family: product.binder, leftMl, pricePerMl: product.pricePerMl, k: optics.k, s: optics.s },
    ];
  });
}

/** K and S of a finished mix, a paint in its own right; strengths as they were learned while mixing. */
export function createMixedOptics(
  paints: readonly PaintOptics[],
  volumes: readonly number[],
  factors: readonly number[],
): OpticsRecord {
  const total = volumes.reduce((sum, one) => sum + one, 0);
  const { k, s } = mixOptics(
    paints,
    volumes.map((one, i) => (one * factors[i]!) / total),
  );
  return { k: [...k], s: [...s], basis: 'mixed here' };
}
