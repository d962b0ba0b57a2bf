import type { Answer, IdentifyCatalogue, IdentifyFeature, IdentifyVariant } from '../../src/identify/catalogue.ts';

const RIGHT = { sure: 0.98, likely: 0.85, unsure: 0.6 };
const NONE_PRIOR = 0.02;

export interface BruteForce {
  readonly variants: ReadonlyMap<string, number>;
  readonly none: number;
  /** Probability per quarter, from the first quarter on. */
  readonly quarters: readonly number[];
}

/**
 * The posterior written out as a plain sum over variant x quarter, in ordinary numbers, straight from the formulas: the
 * slow yardstick. Shares no code with the real one. Returns null when nothing can explain the answers with their dates.
 */
export function computeBruteForcePosterior(
  catalogue: IdentifyCatalogue,
  answers: readonly Answer[],
): BruteForce | null {
  const firstYear = Math.floor(Math.min(...catalogue.variants.map((variant) => variant.span.startEarliest)));
  const lastYear = Math.ceil(Math.max(...catalogue.variants.map((variant) => variant.span.endLatest)));
  const count = Math.max(4, (lastYear - firstYear) * 4);
  const middles = Array.from({ length: count }, (_, q) => firstYear + (q + 0.5) / 4);
  const hypotheses: (IdentifyVariant | null)[] = [...catalogue.variants, null];
  const weights = hypotheses.map((variant) => {
    const prior = variant ? (1 - NONE_PRIOR) / catalogue.variants.length : NONE_PRIOR;
    const likelihood = answers.reduce((product, answer) => product * likelihoodOf(answer, catalogue, variant), 1);
    const heights = middles.map((year) => (variant ? heightOf(variant, year) : 1));
    const area = heights.reduce((a, b) => a + b, 0);
    const shares = area > 0 ? heights.map((height) => height / area) : nearestQuarter(variant!, firstYear, count);
    return shares.map((share, q) => prior * likelihood * share * dateWeight(answers, catalogue, middles[q]!));
  });
  const total = weights.flat().reduce((a, b) => a + b, 0);
  if (total === 0) return null;
  const massOf = (row: readonly number[]) => row.reduce((a, b) => a + b, 0) / total;
  return {
    variants: new Map(catalogue.variants.map((variant, i) => [variant.id, massOf(weights[i]!)])),
    none: massOf(weights[weights.length - 1]!),
    quarters: middles.map((_, q) => weights.reduce((sum, row) => sum + row[q]!, 0) / total),
  };
}

function heightOf({ span }: IdentifyVariant, year: number): number {
  const rise = (year - span.startEarliest) / (span.startLatest - span.startEarliest);
  const fall = (span.endLatest - year) / (span.endLatest - span.endEarliest);
  return Math.max(0, Math.min(1, rise, fall));
}

function nearestQuarter({ span }: IdentifyVariant, firstYear: number, count: number): number[] {
  const middle = (span.startEarliest + span.endLatest) / 2;
  const shares = new Array<number>(count).fill(0);
  shares[Math.min(count - 1, Math.max(0, Math.floor((middle - firstYear) * 4)))] = 1;
  return shares;
}

function likelihoodOf(answer: Answer, catalogue: IdentifyCatalogue, variant: IdentifyVariant | null): number {
  const { certainty, stateId } = answer;
  if (certainty === 'cannot see' || certainty === 'missing' || stateId === null) return 1;
  const feature = catalogue.features.find((candidate) => candidate.id === answer.featureId)!;
  const even = 1 / feature.states.length;
  if (certainty === 'replaced') return even;
  const shares = variant?.states[feature.id];
  let original = even;
  if (shares) {
    original = 0;
    for (const [trueId, share] of Object.entries(shares))
      original += share * readingOf(stateId, trueId, feature, RIGHT[certainty]);
  }
  return (1 - feature.alteredChance) * original + feature.alteredChance * even;
}

function readingOf(read: string, truth: string, feature: IdentifyFeature, right: number): number {
  if (feature.states.length === 1) return 1;
  if (read === truth) return right;
  const alikes = feature.states.find((state) => state.id === truth)!.lookAlikes;
  const wrong = alikes.length ? alikes : feature.states.map((state) => state.id).filter((id) => id !== truth);
  return wrong.includes(read) ? (1 - right) / wrong.length : 0;
}

/** Dates of cast-in states are walls; those of replaceable parts let an altered one through. */
function dateWeight(answers: readonly Answer[], catalogue: IdentifyCatalogue, year: number): number {
  return answers.reduce((product, answer) => {
    if (answer.stateId === null || ['cannot see', 'missing', 'replaced'].includes(answer.certainty)) return product;
    const feature = catalogue.features.find((candidate) => candidate.id === answer.featureId)!;
    const state = feature.states.find((candidate) => candidate.id === answer.stateId)!;
    if (state.fromYear === null && state.toYear === null) return product;
    const fits = year >= (state.fromYear ?? -Infinity) && year <= (state.toYear ?? Infinity);
    return product * (fits ? 1 : feature.castIn ? 0 : feature.alteredChance);
  }, 1);
}
