import type { Feature, FeatureState } from '../model/catalogue.ts';
import type { SpecimenPart } from '../model/workpiece.ts';
import type { IdentifyCatalogue } from './catalogue.ts';

/** A model with what its casting is known by. */
export interface ModelOfCasting {
  readonly parts: readonly Pick<SpecimenPart, 'id' | 'role'>[];
  readonly casting: {
    readonly features: readonly Feature[];
    readonly states: readonly Pick<FeatureState, 'featureId' | 'colour' | 'colourHex'>[];
  } | null;
  readonly catalogue: Pick<IdentifyCatalogue, 'features'>;
}

/** Coats, and whatever has a colour among its states. */
export const isOfColours = (
  { id, group }: Pick<Feature, 'id' | 'group'>,
  states: readonly Pick<FeatureState, 'featureId' | 'colour' | 'colourHex'>[],
): boolean =>
  group.endsWith('coat') ||
  states.some(({ featureId, colour, colourHex }) => featureId === id && (colour ?? colourHex) !== null);

/** Looks at a part that a captured colour can answer. */
export function selectColourFeatures({ parts, casting, catalogue }: ModelOfCasting, partId: string): Feature[] {
  const role = parts.find(({ id }) => id === partId)?.role;
  return (casting?.features ?? []).filter(
    (feature) =>
      feature.partRole === role &&
      catalogue.features.some(({ id }) => id === feature.id) &&
      isOfColours(feature, casting!.states),
  );
}
