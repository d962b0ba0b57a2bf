import type { Geometry } from '../model/reading.ts';
import type { PaintProduct } from '../model/work.ts';
import { convertLabToHex } from './display.ts';
import { estimateGloss } from './glossOfMix.ts';
import { estimateStrengths } from './guide/estimateStrengths.ts';
import type { MixState } from './guide/replayMix.ts';
import { createShelf } from './match/shelfOptics.ts';
import { computePaintLab, createMixedOptics, createShelfPaints, surfaceOf } from './paintOptics.ts';

/** As finely as densities (g/ml), films (µm) and prices are known. */
const round = (value: number) => Math.round(value * 1000) / 1000;

/**
 * A finished mix as a paint of its own: K and S with the strengths that were learned while mixing, colour as the last patch
 * was seen (by eye: as the model has it), means by volume. What it takes to dry it takes as its slowest paint does, and it
 * stands the weather that all of them stand.
 *
 * `products` are those of `state.productIds`, in that order. Throws RangeError where nothing was poured or no patch has dried.
 */
export function computeKeptMix(
  state: MixState,
  products: readonly PaintProduct[],
  geometry: Geometry,
): Omit<PaintProduct, 'id' | 'version' | 'line' | 'name'> {
  const last = state.patches.at(-1);
  const main = products[state.volumes.indexOf(Math.max(...state.volumes))];
  if (!last || !main) throw new RangeError('A mix is kept by its last dried patch.');
  const shelf = createShelf(createShelfPaints(products, [], state.productIds));
  const places = state.productIds.map((id) => shelf.paints.findIndex((paint) => paint.id === id));
  const patches = state.patches.map(({ reading, volumes }) => ({
    volumes: state.productIds.map((_, i) => volumes[i] ?? 0),
    ...{ lab: reading.lab, sd: reading.sd },
  }));
  const { factors } = estimateStrengths(shelf, places, patches, surfaceOf(geometry));
  const optics = createMixedOptics(
    places.map((place) => shelf.paints[place]!),
    state.volumes,
    factors,
  );
  const mean = (pick: (product: PaintProduct) => number) =>
    round(state.volumes.reduce((sum, ml, i) => sum + ml * pick(products[i]!), 0) / state.totalMl);
  const most = (pick: (product: PaintProduct) => number) => Math.max(...products.map(pick));
  return {
    kind: main.kind,
    binder: main.binder,
    gloss: estimateGloss(state.volumes.map((ml, i) => ({ finish: products[i]!.gloss, ml }))).word,
    colourHex: convertLabToHex(last.reading.how === 'by eye' ? computePaintLab(optics, geometry) : last.reading.lab),
    dryFilmUm: mean((one) => one.dryFilmUm),
    flashMin: most((one) => one.flashMin),
    recoatMin: most((one) => one.recoatMin),
    cureMin: most((one) => one.cureMin),
    minC: most((one) => one.minC),
    maxC: Math.min(...products.map((one) => one.maxC)),
    optics,
    // Of several sheets none holds for the mix.
    drying: new Set(products.map((one) => JSON.stringify(one.drying))).size === 1 ? main.drying : null,
    densityGPerMl: mean((one) => one.densityGPerMl),
    dropMl: mean((one) => one.dropMl),
    pricePerMl: mean((one) => one.pricePerMl),
    recipe: products.map(({ id, line, name }, i) => ({
      productId: id,
      name: `${line} ${name}`,
      ml: state.volumes[i]!,
    })),
  };
}
