import type { AlterationGroup } from '../model/catalogue.ts';
import type {
  IdentifyCatalogue,
  IdentifyFeature,
  IdentifyHistory,
  IdentifyMeasure,
  IdentifySettings,
} from './catalogue.ts';
import { encodeSiblings, SIBLING_YEARS, type EncodedSiblings } from './encodeSiblings.ts';
import { DEFAULT_HISTORIES } from './histories.ts';
import { createQuarterAxis, type QuarterAxis } from './quarters.ts';
import { encodeSpans, type EncodedSpans } from './encodeSpans.ts';
import { readingChance } from './readingChance.ts';

/**
 * A catalogue in typed arrays. Hypothesis i below `variantCount` is a variant; then come the unlisted siblings of variants,
 * and the last one is "a stranger to the list", a variant with nothing recorded and a flat date. Joint arrays are laid out
 * [hypothesis * historyCount + history].
 */
export interface EncodedCatalogue {
  readonly source: IdentifyCatalogue;
  readonly variantCount: number;
  /** Variants, their siblings, and the stranger. */
  readonly hypothesisCount: number;
  readonly siblings: EncodedSiblings;
  /** Castings in the order of their first variant, and which one each variant and sibling is of. */
  readonly castingIds: readonly string[];
  readonly castingOf: Int32Array;
  /** Of each hypothesis before anything was looked at; sums to 1. Variants share by how common they are. */
  readonly priors: Float64Array;
  readonly histories: readonly IdentifyHistory[];
  readonly historyPriors: Float64Array;
  /** Index of the history that alters nothing; -1 when there is none. */
  readonly untouched: number;
  readonly looks: readonly EncodedLook[];
  readonly lookIndex: ReadonlyMap<string, number>;
  readonly axis: QuarterAxis;
  readonly spans: EncodedSpans;
}

/** A feature or measure. Variants that are known with the same states (or size) share a class; class 0 is "not recorded". */
export interface EncodedLook {
  readonly id: string;
  readonly effort: number;
  readonly destroys: string;
  readonly group: AlterationGroup;
  readonly feature: IdentifyFeature | null;
  readonly measure: IdentifyMeasure | null;
  readonly classOf: Uint16Array;
  readonly classCount: number;
  /** feature: shares of the states, [class * outcomes + state]. measure: the size, [class]. */
  readonly classValues: Float64Array;
  readonly outcomeCount: number;
  /** Chance of each outcome of a sure look at an unaltered model, [class * outcomes + outcome]. */
  readonly sureReading: Float64Array;
  /** a_f by history. */
  readonly altered: Float64Array;
}

/** Standard deviation of a careful reading with calipers, mm (planning estimate). */
export const CALIPER_MM = 0.1;
const MOST_BINS = 48;

export function encodeCatalogue(source: IdentifyCatalogue, settings: IdentifySettings): EncodedCatalogue {
  const { variants } = source;
  const histories = source.histories.length ? source.histories : DEFAULT_HISTORIES;
  const total = histories.reduce((sum, history) => sum + history.prior, 0);
  const castingIds = [...new Set(variants.map((variant) => variant.castingId))];
  const castingRank = new Map(castingIds.map((id, i) => [id, i]));
  const siblings = encodeSiblings(source, settings);
  const axis = createQuarterAxis(
    variants.flatMap((variant) => (variant.span ? [variant.span] : [])),
    siblings.of.length ? SIBLING_YEARS : 0,
  );
  const looks = [
    ...source.features.map((feature) => encodeFeature(feature, source, siblings, { histories, settings })),
    ...source.measures.map((measure) => encodeMeasure(measure, source, siblings, { histories, settings })),
  ];
  return {
    source,
    variantCount: variants.length,
    hypothesisCount: variants.length + siblings.of.length + 1,
    siblings,
    castingIds,
    castingOf: Int32Array.from([...variants.keys(), ...siblings.of], (i) => castingRank.get(variants[i]!.castingId)!),
    priors: siblings.priors,
    histories,
    historyPriors: Float64Array.from(histories, (history) => history.prior / total),
    untouched: histories.findIndex((history) => Object.values(history.rates).every((rate) => rate === 0)),
    looks,
    lookIndex: new Map(looks.map((look, i) => [look.id, i])),
    axis,
    spans: encodeSpans(axis, variants, siblings.of, settings),
  };
}

interface Assumed {
  readonly histories: readonly IdentifyHistory[];
  readonly settings: IdentifySettings;
}

function encodeFeature(
  feature: IdentifyFeature,
  { variants }: IdentifyCatalogue,
  siblings: EncodedSiblings,
  { histories, settings }: Assumed,
): EncodedLook {
  const outcomes = feature.states.length;
  const stateIndex = new Map(feature.states.map((state, i) => [state.id, i]));
  const classes = new Map<string, number>();
  const rows: (Float64Array | null)[] = [null];
  const classOf = new Uint16Array(variants.length + siblings.of.length + 1);
  variants.forEach((variant, i) => {
    const recorded = variant.states[feature.id];
    if (!recorded) return;
    const key = nameClass(recorded);
    let index = classes.get(key);
    if (index === undefined) {
      index = rows.length;
      classes.set(key, index);
      const shares = new Float64Array(outcomes);
      for (const stateId in recorded) {
        const state = stateIndex.get(stateId);
        if (state !== undefined) shares[state] = recorded[stateId]!;
      }
      rows.push(shares);
    }
    classOf[i] = index;
  });
  // A sibling of a variant that is known with these states has them, too, or was changed.
  const siblingClasses = new Map<number, number>();
  siblings.of.forEach((i, k) => {
    const c = classOf[i]!;
    if (c === 0 || outcomes === 1) return void (classOf[variants.length + k] = c);
    let index = siblingClasses.get(c);
    if (index === undefined) {
      index = rows.length;
      siblingClasses.set(c, index);
      const chance = siblings.changeChance;
      rows.push(rows[c]!.map((share) => (1 - chance) * share + (chance * (1 - share)) / (outcomes - 1)));
    }
    classOf[variants.length + k] = index;
  });
  const readings = Float64Array.from({ length: outcomes * outcomes }, (_, at) => {
    const [truth, read] = [Math.floor(at / outcomes), at % outcomes];
    return readingChance(feature.states[read]!.id, feature.states[truth]!.id, feature, settings.readingRight.sure);
  });
  const classValues = new Float64Array(rows.length * outcomes);
  const sureReading = new Float64Array(rows.length * outcomes).fill(1 / outcomes);
  rows.forEach((shares, c) => {
    if (!shares) return;
    classValues.set(shares, c * outcomes);
    for (let read = 0; read < outcomes; read++) {
      let sum = 0;
      for (let truth = 0; truth < outcomes; truth++) sum += shares[truth]! * readings[truth * outcomes + read]!;
      sureReading[c * outcomes + read] = sum;
    }
  });
  const { id, effort, destroys, group } = feature;
  return {
    ...{ id, effort, destroys, group, feature, measure: null, classOf, classCount: rows.length },
    ...{ classValues, outcomeCount: outcomes, sureReading },
    altered: Float64Array.from(histories, (history) => history.rates[group]),
  };
}

/** One state is by far the commonest case. */
function nameClass(recorded: Readonly<Record<string, number>>): string {
  let key = '';
  for (const stateId in recorded) key += `${stateId}=${recorded[stateId]};`;
  return key;
}

/** A sibling came from the same tool: its sizes are those of the variant beside it. */
function encodeMeasure(
  measure: IdentifyMeasure,
  { variants }: IdentifyCatalogue,
  siblings: EncodedSiblings,
  { histories, settings }: Assumed,
): EncodedLook {
  const sizes = [...new Set(variants.flatMap((variant) => variant.sizesMm[measure.id] ?? []))].sort((a, b) => a - b);
  const index = new Map(sizes.map((size, i) => [size, i + 1]));
  const classOf = Uint16Array.from(
    [...variants.keys(), ...siblings.of, variants.length],
    (i) => index.get(variants[i]?.sizesMm[measure.id] ?? NaN) ?? 0,
  );
  const { fromMm, toMm, sdMm } = measureRange(measure, sizes);
  const bins = Math.max(1, Math.min(MOST_BINS, Math.ceil((toMm - fromMm) / sdMm)));
  const width = (toMm - fromMm) / bins;
  const sureReading = new Float64Array((sizes.length + 1) * bins).fill(1 / bins);
  sizes.forEach((size, i) => {
    const row = Float64Array.from({ length: bins }, (_, bin) => bellMass(fromMm + bin * width - size, width, sdMm));
    const sum = row.reduce((a, b) => a + b, 0);
    row.forEach((mass, bin) => {
      sureReading[(i + 1) * bins + bin] = (1 - settings.measureWrong) * (mass / sum) + settings.measureWrong / bins;
    });
  });
  return {
    ...{ id: measure.id, effort: measure.effort, destroys: '', group: 'body casting', feature: null, measure },
    ...{ classOf, classCount: sizes.length + 1, classValues: Float64Array.from([NaN, ...sizes]) },
    ...{ outcomeCount: bins, sureReading, altered: new Float64Array(histories.length) },
  };
}

/** Where measured sizes of this catalogue fall, and how far one reading scatters. */
export function measureRange(measure: IdentifyMeasure, sizes: ArrayLike<number>) {
  const sdMm = Math.hypot(CALIPER_MM, measure.toleranceMm);
  let [low, high] = [Infinity, -Infinity];
  for (let i = 0; i < sizes.length; i++) {
    if (Number.isNaN(sizes[i])) continue;
    low = Math.min(low, sizes[i]!);
    high = Math.max(high, sizes[i]!);
  }
  if (low > high) [low, high] = [0, 100];
  return { fromMm: low - 3 * sdMm, toMm: high + 3 * sdMm, sdMm };
}

/** Normal mass of a bin that begins `from` away from the mean, by Simpson's rule: bins are about one sd wide or wider. */
function bellMass(from: number, width: number, sd: number): number {
  const steps = 8 * Math.max(1, Math.ceil(width / sd));
  const h = width / steps;
  let sum = 0;
  for (let i = 0; i <= steps; i++) {
    const x = (from + i * h) / sd;
    sum += Math.exp(-0.5 * x * x) * (i === 0 || i === steps ? 1 : i % 2 ? 4 : 2);
  }
  return (sum * h) / 3;
}
