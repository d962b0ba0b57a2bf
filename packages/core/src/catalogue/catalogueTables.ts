import type {
  Casting,
  Feature,
  FeatureState,
  Maker,
  Source,
  ToyRange,
  Variant,
  VariantState,
} from '../model/catalogue.ts';

/**
 * The catalogue as it is kept, without parts, joints, drawings and what only this bench can know of it. Sources of single
 * specimens do not belong to it.
 */
export interface CatalogueTables {
  readonly makers: readonly Maker[];
  readonly ranges: readonly ToyRange[];
  readonly features: readonly Feature[];
  readonly states: readonly Omit<FeatureState, 'colour' | 'size'>[];
  readonly castings: readonly Omit<Casting, 'drawing' | 'traces' | 'builtAs' | 'listed'>[];
  readonly variants: readonly Omit<Variant, 'foundOnId'>[];
  readonly variantStates: readonly VariantState[];
  readonly sources: readonly Source[];
}

export const TABLE_NAMES = [
  'makers',
  'ranges',
  'features',
  'states',
  'castings',
  'variants',
  'variantStates',
  'sources',
] as const satisfies readonly (keyof CatalogueTables)[];
export type TableName = (typeof TABLE_NAMES)[number];
