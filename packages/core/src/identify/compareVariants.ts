import type { IdentifyCatalogue, IdentifyFeature } from './catalogue.ts';

export interface VariantDifference {
  readonly feature: IdentifyFeature;
  /** One list per variant: its states with their shares, likeliest first; empty where nothing is recorded. */
  readonly recorded: readonly (readonly {
    readonly stateId: string;
    readonly label: string;
    readonly share: number;
  }[])[];
}

/** The features in which variants are not recorded alike, easiest to look at first. */
export function compareVariants(catalogue: IdentifyCatalogue, variantIds: readonly string[]): VariantDifference[] {
  const variants = variantIds.map((id) => catalogue.variants.find((variant) => variant.id === id));
  return catalogue.features
    .map((feature) => ({
      feature,
      recorded: variants.map((variant) =>
        Object.entries(variant?.states[feature.id] ?? {})
          .map(([stateId, share]) => ({
            stateId,
            label: feature.states.find((state) => state.id === stateId)?.label ?? stateId,
            share,
          }))
          .sort((a, b) => b.share - a.share || (a.stateId < b.stateId ? -1 : 1)),
      ),
    }))
    .filter(({ recorded }) => new Set(recorded.map((list) => JSON.stringify(list))).size > 1)
    .sort((a, b) => a.feature.effort - b.feature.effort);
}

/** Variants that no recorded feature or size tells apart, as groups of ids; a variant unlike all others is a group of one. */
export function groupAlike({ variants }: IdentifyCatalogue): string[][] {
  const groups = new Map<string, string[]>();
  for (const { id, states, sizesMm } of variants) {
    const sorted = (record: Readonly<Record<string, unknown>>) =>
      Object.entries(record).sort(([a], [b]) => (a < b ? -1 : 1));
    const key = JSON.stringify([
      sorted(states).map(([feature, shares]) => [feature, sorted(shares as Record<string, number>)]),
      sorted(sizesMm),
    ]);
    const group = groups.get(key);
    if (group) group.push(id);
    else groups.set(key, [id]);
  }
  return [...groups.values()];
}
