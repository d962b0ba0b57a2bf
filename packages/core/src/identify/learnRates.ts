import {
  DEFAULT_SETTINGS,
  type Answer,
  type IdentifyCatalogue,
  type IdentifySettings,
  type Rates,
} from './catalogue.ts';
import { createIdentifier } from './createIdentifier.ts';

/** A specimen whose issue was found out for sure, with what had been read of it. */
export interface SettledCase {
  /** With the variant among its variants. */
  readonly catalogue: IdentifyCatalogue;
  readonly variantId: string;
  readonly answers: readonly Answer[];
}

export interface LearnedRates extends Rates {
  /** Settled cases it rests on. */
  readonly caseCount: number;
}

/** Where the rates may lie, times what is stated. */
const FACTORS = [0.5, Math.SQRT1_2, 1, Math.SQRT2, 2] as const;
/** Belief before any case, by factor: the statement is most likely right (planning estimate). */
const PRIOR = [0.1, 0.2, 0.4, 0.2, 0.1] as const;

/**
 * The rates of this bench, from its own settled cases: every pair of factors is weighed by how likely it makes what was read,
 * given the true issue, with the history unknown; the answer is the geometric mean under these weights. Without a case it is
 * what is stated. Cases whose variant is not in their catalogue say nothing.
 */
export function learnRates(cases: readonly SettledCase[], settings: IdentifySettings = DEFAULT_SETTINGS): LearnedRates {
  const known = cases.flatMap(({ catalogue, variantId, answers }) => {
    const variants = catalogue.variants.filter((variant) => variant.id === variantId);
    return variants.length ? [{ catalogue: { ...catalogue, variants, unlisted: {} }, answers }] : [];
  });
  const grid = FACTORS.flatMap((alteration, a) =>
    FACTORS.map((misreading, m) => ({
      rates: { alteration, misreading },
      log:
        Math.log(PRIOR[a]! * PRIOR[m]!) +
        known.reduce((sum, one) => sum + computeLogLikelihood(one, { alteration, misreading }, settings), 0),
    })),
  );
  const top = Math.max(...grid.map(({ log }) => log));
  const weights = grid.map(({ log }) => Math.exp(log - top));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const mean = (pick: (rates: Rates) => number) =>
    Math.exp(grid.reduce((sum, { rates }, i) => sum + (weights[i]! / total) * Math.log(pick(rates)), 0));
  return {
    alteration: mean(({ alteration }) => alteration),
    misreading: mean(({ misreading }) => misreading),
    caseCount: known.length,
  };
}

/** ln P(answers | the one variant of the catalogue), at these rates. */
function computeLogLikelihood(
  { catalogue, answers }: Pick<SettledCase, 'catalogue' | 'answers'>,
  rates: Rates,
  settings: IdentifySettings,
): number {
  const identifier = createIdentifier({ ...catalogue, rates }, { ...settings, nonePrior: 0 });
  for (const answer of answers) identifier.setAnswerInPlace(answer.featureId, answer);
  return identifier.computePosterior().logEvidence;
}
