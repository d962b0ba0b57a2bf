import { groupBy } from '../groupBy.ts';
import type {
  Casting,
  Feature,
  FeatureState,
  History,
  Source,
  Variant,
  VariantState,
  ToyRange,
} from '../model/catalogue.ts';
import { SIZE_NAMES, type SizeName } from '../model/workpiece.ts';
import { believeUnlisted, countSettled } from './believeUnlisted.ts';
import { selectStatements } from './selectAnswers.ts';
import type { IdentifyCatalogue, IdentifyFeature, IdentifyMeasure, IdentifyVariant } from './catalogue.ts';
import { mergeFeatures } from './mergeFeatures.ts';

/** The rows that identification rests on, as they are kept. */
export interface CatalogueRows {
  readonly castings: readonly Pick<Casting, 'id' | 'number' | 'name' | 'lengthMm' | 'wheelbaseMm' | 'listed'>[];
  readonly ranges: readonly Pick<ToyRange, 'id' | 'name'>[];
  readonly features: readonly Feature[];
  readonly states: readonly FeatureState[];
  readonly variants: readonly Variant[];
  readonly variantStates: readonly VariantState[];
  readonly sources: readonly Source[];
  readonly histories: readonly History[];
  /** Of every model whose issue was settled. */
  readonly settled: readonly { readonly castingId: string | null; readonly variantId: string }[];
}

/** From one casting of a tool to the next, with the rounding of the catalogue; standard deviation, planning estimate. */
const CASTING_TOLERANCE_MM = 0.3;

const SIZE_WORDS: Readonly<Record<SizeName, { label: string; howToLook: string }>> = {
  length: { label: 'Length', howToLook: 'Calipers over the body, bumpers and hooks left out; three readings.' },
  wheelbase: { label: 'Wheelbase', howToLook: 'From axle middle to axle middle, on both sides.' },
};

/**
 * Rows as identification wants them. `isOneCasting`: only its variants are in the rows, and their names stand without the
 * casting; sizes then tell nothing apart and are left out. Features that no variant is known by are left out too; a look that
 * several ranges know is asked once.
 */
export function assembleCatalogue(rows: CatalogueRows, isOneCasting: boolean): IdentifyCatalogue {
  const used = new Set(rows.variantStates.map((row) => row.featureId));
  const rangeNames = new Map(rows.ranges.map((range) => [range.id, range.name]));
  const { features, sameAs } = mergeFeatures(rows.features, rows.states, rangeNames, ({ id }) => used.has(id));
  const recordedOf = groupBy(rows.variantStates, (row) => row.variantId);
  const saidOf = groupBy(
    rows.sources.filter((source) => source.variantId !== null),
    (source) => source.variantId!,
  );
  const castings = new Map(rows.castings.map((casting) => [casting.id, casting]));
  return {
    features: nameApart(features, rows),
    sameAs,
    measures: isOneCasting ? [] : SIZE_NAMES.map(createMeasure),
    variants: rows.variants.map((variant): IdentifyVariant => {
      const casting = castings.get(variant.castingId);
      const { startEarliest, startLatest, endEarliest, endLatest } = variant;
      return {
        id: variant.id,
        name: isOneCasting || !casting ? variant.name : `${casting.number} ${casting.name}, ${variant.name}`,
        castingId: variant.castingId,
        rarity: variant.rarity,
        span: { startEarliest, startLatest, endEarliest, endLatest },
        states: groupShares(recordedOf.get(variant.id) ?? [], sameAs),
        sizesMm: isOneCasting || !casting ? {} : { length: casting.lengthMm, wheelbase: casting.wheelbaseMm },
        statements: selectStatements(saidOf.get(variant.id) ?? []),
      };
    }),
    unlisted: believeAllUnlisted(rows),
    ...(isOneCasting
      ? {}
      : { castingNames: Object.fromEntries(rows.castings.map(({ id, number, name }) => [id, `${number} ${name}`])) }),
    histories: rows.histories.map(({ key, label, prior, rates }) => ({ key, label, prior, rates })),
  };
}

/** Of each casting that has issues: what its list may lack, by what was said of it and by what was settled. */
function believeAllUnlisted({ castings, variants, settled }: CatalogueRows): Record<string, number> {
  const listed = groupBy(variants, (variant) => variant.castingId);
  const settledOf = groupBy(settled, (one) => one.castingId);
  return Object.fromEntries(
    castings
      .filter(({ id }) => listed.has(id))
      .map((casting) => {
        const settledIds = (settledOf.get(casting.id) ?? []).map(({ variantId }) => variantId);
        return [casting.id, believeUnlisted(casting.listed, countSettled(listed.get(casting.id)!, settledIds))];
      }),
  );
}

const createMeasure = (name: SizeName): IdentifyMeasure => ({
  id: name,
  ...SIZE_WORDS[name],
  effort: 4,
  toleranceMm: CASTING_TOLERANCE_MM,
});

/** Looks of one name that are not the same one carry the name of their range. */
function nameApart(
  features: readonly IdentifyFeature[],
  { features: kept, ranges }: CatalogueRows,
): readonly IdentifyFeature[] {
  const byLabel = groupBy(features, (feature) => feature.label);
  return features.map((feature) => {
    if (byLabel.get(feature.label)!.length === 1) return feature;
    const rangeId = kept.find(({ id }) => id === feature.id)!.rangeId;
    const name = ranges.find(({ id }) => id === rangeId)?.name ?? rangeId;
    return { ...feature, label: `${feature.label} (${name})` };
  });
}

function groupShares(
  rows: readonly VariantState[],
  sameAs: Readonly<Record<string, string>>,
): Record<string, Record<string, number>> {
  const shares: Record<string, Record<string, number>> = {};
  for (const { featureId, stateId, share } of rows) {
    const own = (shares[sameAs[featureId] ?? featureId] ??= {});
    const id = sameAs[stateId] ?? stateId;
    own[id] = (own[id] ?? 0) + share;
  }
  return shares;
}
