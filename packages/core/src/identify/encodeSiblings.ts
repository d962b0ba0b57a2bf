import { commonness, type IdentifyCatalogue, type IdentifySettings } from './catalogue.ts';

/**
 * Issues that a list lacks, as far as they can be foreseen: one beside each listed variant of a casting whose list is not
 * complete, made near it and changed in a few features.
 */
export interface EncodedSiblings {
  /** Index of the variant that each is like. */
  readonly of: Int32Array;
  /** Of every hypothesis: variants, siblings, stranger; sums to 1. */
  readonly priors: Float64Array;
  /** Chance that a feature of a sibling is another than the variant's, before it is known that one is. */
  readonly changeChance: number;
  /** By sibling: that chance of no change at all, which would make it the variant itself. */
  readonly unchanged: Float64Array;
}

/** How far from the variant's years a sibling may have been made (planning estimate). */
export const SIBLING_YEARS = 3;
/** Features that a sibling differs in, on average (planning estimate; one to three from one issue to the next). */
const CHANGES = 2;
const MOST_CHANGED = 0.5;
/** With more issues than this every list counts as whole: a changed answer must be worked in while somebody looks on. */
const MOST_WITH_SIBLINGS = 20_000;

/**
 * Priors: the stranger as stated; a variant by how common it is; of a casting's share its chance of an unlisted issue, even
 * over the casting's variants (an issue leads to the next whether it sold or not). Each feature of a sibling is changed
 * independently, given that one is: no list of subsets is needed, only one product less another (weighInPlace).
 */
export function encodeSiblings(source: IdentifyCatalogue, { nonePrior }: IdentifySettings): EncodedSiblings {
  const { variants, features } = source;
  const unlisted = variants.length > MOST_WITH_SIBLINGS ? {} : (source.unlisted ?? {});
  const changeable = features.filter((feature) => feature.states.length > 1);
  const changeChance = Math.min(MOST_CHANGED, CHANGES / Math.max(1, changeable.length));
  const of: number[] = [];
  const unchanged: number[] = [];
  variants.forEach((variant, i) => {
    if (!((unlisted[variant.castingId] ?? 0) > 0)) return;
    const recorded = changeable.filter(({ id }) => variant.states[id]).length;
    // Beside a variant of which nothing is recorded nothing can be told apart.
    if (recorded === 0) return;
    of.push(i);
    unchanged.push((1 - changeChance) ** recorded);
  });
  const total = variants.reduce((sum, variant) => sum + commonness(variant), 0);
  const castingOf = (i: number) => variants[i]!.castingId;
  const shares = sumBy(variants.keys(), castingOf, (i) => commonness(variants[i]!) / total);
  const siblings = sumBy(of, castingOf, () => 1);
  const listed = variants.length ? 1 - nonePrior : 0;
  const unlistedOf = (id: string) => (siblings.has(id) ? unlisted[id]! : 0);
  return {
    of: Int32Array.from(of),
    priors: Float64Array.from([
      ...variants.map((one) => (listed * (1 - unlistedOf(one.castingId)) * commonness(one)) / total),
      ...of.map(castingOf).map((id) => (listed * unlistedOf(id) * shares.get(id)!) / siblings.get(id)!),
      1 - listed,
    ]),
    changeChance,
    unchanged: Float64Array.from(unchanged),
  };
}

function sumBy(
  list: Iterable<number>,
  keyOf: (i: number) => string,
  valueOf: (i: number) => number,
): Map<string, number> {
  const sums = new Map<string, number>();
  for (const i of list) sums.set(keyOf(i), (sums.get(keyOf(i)) ?? 0) + valueOf(i));
  return sums;
}
