import type { CoatingLayer, LayerKind } from '../model/workpiece.ts';

export interface Stack {
  /** Sum of all layers, micrometres. */
  readonly totalUm: number;
  /** Standard deviation of the sum, micrometres. */
  readonly spreadUm: number;
  /** True when every thickness was measured. */
  readonly measured: boolean;
}

/** Relative standard deviation of one layer by the origin of its thickness (planning estimates). */
const RELATIVE_SPREAD: Readonly<Record<CoatingLayer['thicknessOrigin'], number>> = {
  measured: 0.05,
  'product sheet': 0.2,
  'planning estimate': 0.35,
};

/** Film build of an area: layer thicknesses add up, their independent spreads add in squares. No layers give 0. */
export function computeStack(layers: readonly Pick<CoatingLayer, 'thicknessUm' | 'thicknessOrigin'>[]): Stack {
  let totalUm = 0;
  let variance = 0;
  for (const layer of layers) {
    totalUm += layer.thicknessUm;
    variance += (layer.thicknessUm * RELATIVE_SPREAD[layer.thicknessOrigin]) ** 2;
  }
  return {
    totalUm,
    spreadUm: Math.sqrt(variance),
    measured: layers.every((layer) => layer.thicknessOrigin === 'measured'),
  };
}

/** Cast lettering is rarely shallower than this (planning estimate), micrometres. */
export const FINEST_RELIEF_UM = 150;

export interface BandSlice {
  readonly kind: LayerKind | 'metal';
  readonly colourHex: string;
  readonly name: string;
  readonly thicknessUm: number | null;
  readonly topPx: number;
  readonly heightPx: number;
}

/**
 * The band: layers outermost first over a strip of metal. Coats keep their proportions among themselves but no coat is
 * thinner than minPx; the metal is not to scale (it is drawn with a break line) and takes metalPx at the bottom.
 * When the minimum alone does not fit, all coats share the height evenly.
 */
export function computeBand(
  layers: readonly Pick<CoatingLayer, 'kind' | 'colourHex' | 'name' | 'thicknessUm' | 'seq'>[],
  heightPx: number,
  metal: { readonly colourHex: string; readonly name: string },
  minPx = 3,
  metalPx = heightPx * 0.3,
): BandSlice[] {
  const coats = [...layers].sort((a, b) => b.seq - a.seq);
  const heights = shareHeights(
    coats.map((coat) => coat.thicknessUm),
    coats.length ? heightPx - metalPx : 0,
    minPx,
  );
  let top = 0;
  const slices: BandSlice[] = coats.map((coat, i) => {
    const slice = {
      kind: coat.kind,
      colourHex: coat.colourHex,
      name: coat.name,
      thicknessUm: coat.thicknessUm,
      topPx: top,
      heightPx: heights[i]!,
    };
    top += heights[i]!;
    return slice;
  });
  return [...slices, { kind: 'metal', ...metal, thicknessUm: null, topPx: top, heightPx: heightPx - top }];
}

/** Splits a height in proportion, none below minPx: those that would be are fixed at it and the rest is split again. */
function shareHeights(weights: readonly number[], heightPx: number, minPx: number): number[] {
  if (weights.length * minPx >= heightPx) return weights.map(() => heightPx / weights.length);
  const fixed = new Set<number>();
  for (;;) {
    const free = heightPx - fixed.size * minPx;
    const total = weights.reduce((sum, weight, i) => (fixed.has(i) ? sum : sum + weight), 0);
    const scale = total > 0 ? free / total : 0;
    const tooThin = weights.findIndex((weight, i) => !fixed.has(i) && weight * scale < minPx);
    if (tooThin < 0) return weights.map((weight, i) => (fixed.has(i) ? minPx : weight * scale));
    fixed.add(tooThin);
  }
}
