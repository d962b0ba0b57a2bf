import type { AlterationGroup } from '../model/catalogue.ts';
import type { IdentifyCatalogue } from './catalogue.ts';
import type { RankedVariant } from './identifySpecimen.ts';

/** One feature as a model left the works with it. */
export interface LeftFeature {
  readonly featureId: string;
  readonly label: string;
  /** The likeliest first; their chances add up to 1. */
  readonly states: readonly { readonly id: string; readonly label: string; readonly chance: number }[];
}

/**
 * In which state each feature of a group left the works, by the issue that a model is or probably is: the issues' own shares, weighed by how
 * probable each issue is. What no issue records is left out.
 */
export function shareLeftStates(
  { features, variants }: Pick<IdentifyCatalogue, 'features' | 'variants'>,
  ranked: readonly Pick<RankedVariant, 'variantId' | 'probability'>[],
  group: AlterationGroup,
): LeftFeature[] {
  const probabilityOf = new Map(ranked.map(({ variantId, probability }) => [variantId, probability]));
  return features
    .filter((feature) => feature.group === group)
    .flatMap((feature) => {
      const weights = new Map<string, number>();
      for (const { id, states } of variants) {
        const shares = Object.entries(states[feature.id] ?? {});
        const whole = shares.reduce((sum, [, share]) => sum + share, 0);
        for (const [stateId, share] of shares)
          weights.set(stateId, (weights.get(stateId) ?? 0) + ((probabilityOf.get(id) ?? 0) * share) / whole);
      }
      const total = [...weights.values()].reduce((sum, weight) => sum + weight, 0);
      if (!(total > 0)) return [];
      const states = feature.states
        .map(({ id, label }) => ({ id, label, chance: (weights.get(id) ?? 0) / total }))
        .filter(({ chance }) => chance > 0)
        .sort((a, b) => b.chance - a.chance);
      return [{ featureId: feature.id, label: feature.label, states }];
    });
}
