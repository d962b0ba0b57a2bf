import { InvalidInputError } from '../model/errors.ts';
import { logSumExp } from '../numeric/logSumExp.ts';
import {
  DEFAULT_SETTINGS,
  type Answer,
  type IdentifyCatalogue,
  type IdentifyFeature,
  type IdentifySettings,
  type IdentifyVariant,
} from './catalogue.ts';
import { computeHardBounds, type HardBounds } from './computeHardBounds.ts';
import { combineLikelihood, createLikelihood, type AnswerLikelihood } from './createLikelihood.ts';
import { computeStateDateWeights, selectDatedAnswers } from './computeStateDates.ts';
import { computeDateSpan, type DateSpan } from './computeDateSpan.ts';
import { computeSpanDensity, createQuarterAxis, type QuarterAxis } from './quarters.ts';

export interface RankedVariant {
  readonly variantId: string;
  readonly name: string;
  readonly castingId: string;
  readonly probability: number;
}

export interface EvidenceWeight {
  readonly featureId: string;
  /** log2 of the leader's likelihood over the mean of its rivals: above 0 speaks for the leader. */
  readonly bits: number;
  /** Chance that this feature was altered after it left the factory. */
  readonly alteredChance: number;
}

export interface Identification {
  readonly ranked: readonly RankedVariant[];
  /** Probability that the specimen is none of the catalogue's variants. */
  readonly noneProbability: number;
  readonly evidence: readonly EvidenceWeight[];
  readonly axis: QuarterAxis;
  readonly dateDensity: Float64Array;
  readonly date: DateSpan;
  readonly bounds: HardBounds;
  /** No quarter and variant can explain the answers together; the ranking is then by features alone. */
  readonly impossible: boolean;
}

/**
 * Exact posterior over variant and quarter, given the answers so far.
 *
 * Joint weight of variant v and quarter q: prior(v) T_v(q) W(q) prod_f P(o_f | v), with T_v the production span, W the
 * range-wide dates of the states seen. "None in the catalogue" is a variant with nothing recorded and a flat date.
 * Priors are even over the variants. Worked in logs.
 *
 * An empty catalogue leaves only "none". When cast-in dates exclude every variant and quarter the dates are set aside and
 * `impossible` is true. Throws InvalidInputError for an answer about a feature or state that the catalogue does not have.
 */
export function identifySpecimen(
  catalogue: IdentifyCatalogue,
  answers: readonly Answer[],
  settings: IdentifySettings = DEFAULT_SETTINGS,
): Identification {
  const features = new Map(catalogue.features.map((feature) => [feature.id, feature]));
  answers.forEach((answer, index) => assertAnswer(answer, features, index));
  const axis = createQuarterAxis(catalogue.variants.map((variant) => variant.span));
  const dated = selectDatedAnswers(answers, catalogue.features);
  const weights = computeStateDateWeights(dated, axis);
  const hypotheses: readonly (IdentifyVariant | null)[] = [...catalogue.variants, null];

  const likelihoods = answers.map((answer) => createLikelihood(answer, features.get(answer.featureId)!, settings));
  const featureLogs = hypotheses.map((variant) => sumLogs(likelihoods, variant));
  const spans = [...computeSpans(catalogue, axis), new Float64Array(axis.count).fill(1 / axis.count)];
  const priors = hypotheses.map((variant) =>
    Math.log(
      variant
        ? (1 - settings.nonePrior) / catalogue.variants.length
        : catalogue.variants.length
          ? settings.nonePrior
          : 1,
    ),
  );
  const dateShares = spans.map((span) => dot(span, weights));
  const impossible = dateShares.every((share) => share === 0);
  const logs = hypotheses.map((_, i) => priors[i]! + featureLogs[i]! + (impossible ? 0 : Math.log(dateShares[i]!)));
  const total = logSumExp(logs);
  const posterior = logs.map((log) => Math.exp(log - total));

  const density = new Float64Array(axis.count);
  posterior.forEach((probability, i) => {
    const share = impossible ? 1 : dateShares[i]!;
    if (probability === 0 || share === 0) return;
    for (let q = 0; q < axis.count; q++)
      density[q]! += (probability * spans[i]![q]! * (impossible ? 1 : weights[q]!)) / share;
  });

  const ranked = catalogue.variants
    .map((variant, i) => ({
      variantId: variant.id,
      name: variant.name,
      castingId: variant.castingId,
      probability: posterior[i]!,
    }))
    .sort((a, b) => b.probability - a.probability || a.variantId.localeCompare(b.variantId));

  return {
    ranked,
    noneProbability: posterior[posterior.length - 1]!,
    evidence: answers.map((answer, i) =>
      weighAnswer(answer, features.get(answer.featureId)!, likelihoods[i]!, hypotheses, posterior),
    ),
    axis,
    dateDensity: density,
    date: computeDateSpan(axis, density),
    bounds: computeHardBounds(dated),
    impossible,
  };
}

/** Production spans depend on the catalogue alone: worked out once for each. */
const spansOf = new WeakMap<IdentifyCatalogue, readonly Float64Array[]>();

function computeSpans(catalogue: IdentifyCatalogue, axis: QuarterAxis): readonly Float64Array[] {
  const known = spansOf.get(catalogue);
  if (known) return known;
  const spans = catalogue.variants.map((variant) => computeSpanDensity(axis, variant.span));
  spansOf.set(catalogue, spans);
  return spans;
}

function sumLogs(likelihoods: readonly AnswerLikelihood[], variant: IdentifyVariant | null): number {
  let sum = 0;
  for (const likelihood of likelihoods) sum += Math.log(combineLikelihood(likelihood(variant)));
  return sum;
}

/** Weight in bits for the leader against its rivals (weighted by their probability), and the chance of an alteration. */
function weighAnswer(
  answer: Answer,
  feature: IdentifyFeature,
  likelihoodOf: AnswerLikelihood,
  hypotheses: readonly (IdentifyVariant | null)[],
  posterior: readonly number[],
): EvidenceWeight {
  const leader = posterior.indexOf(Math.max(...posterior));
  const silent = answer.stateId === null || answer.certainty === 'cannot see' || answer.certainty === 'missing';
  let rivalSum = 0;
  let rivalMass = 0;
  let altered = 0;
  let leaderLikelihood = 1;
  hypotheses.forEach((variant, i) => {
    const parts = likelihoodOf(variant);
    const likelihood = combineLikelihood(parts);
    if (likelihood > 0) altered += posterior[i]! * ((parts.alteredChance * parts.altered) / likelihood);
    if (i === leader) leaderLikelihood = likelihood;
    else {
      rivalSum += posterior[i]! * likelihood;
      rivalMass += posterior[i]!;
    }
  });
  const bits = silent || rivalMass === 0 ? 0 : Math.log2(leaderLikelihood / (rivalSum / rivalMass));
  return { featureId: feature.id, bits, alteredChance: silent ? feature.alteredChance : altered };
}

function assertAnswer(answer: Answer, features: ReadonlyMap<string, IdentifyFeature>, index: number): void {
  const feature = features.get(answer.featureId);
  if (!feature)
    throw new InvalidInputError(
      'unknown-feature',
      'This feature is not in the catalogue.',
      `answers[${index}].featureId`,
      { given: answer.featureId },
    );
  if (answer.stateId !== null && !feature.states.some((state) => state.id === answer.stateId)) {
    throw new InvalidInputError('unknown-state', `${feature.label} has no such state.`, `answers[${index}].stateId`, {
      given: answer.stateId,
    });
  }
}

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
}
