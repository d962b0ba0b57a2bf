import type { IdentifyCatalogue } from './catalogue.ts';

export interface CastRelief {
  readonly featureId: string;
  readonly label: string;
  /** The states the variant is known with, in words. */
  readonly meant: string;
}

/** What a variant has cast into its body and base, so that it is neither filed off nor filled in. */
export function selectCastRelief({ features, variants }: IdentifyCatalogue, variantId: string): CastRelief[] {
  const variant = variants.find((candidate) => candidate.id === variantId);
  return features.flatMap(({ id, label, group, states }) => {
    const recorded = variant?.states[id];
    if (!recorded || (group !== 'body casting' && group !== 'base casting')) return [];
    const meant = states.filter((state) => recorded[state.id]).map((state) => state.label.toLowerCase());
    return [{ featureId: id, label, meant: meant.join(' or ') }];
  });
}
