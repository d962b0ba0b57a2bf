import {
  DEFAULT_SETTINGS,
  type Answer,
  type IdentifyCatalogue,
  type IdentifyFeature,
  type IdentifySettings,
} from './catalogue.ts';
import { combineLikelihood, computeLikelihood } from './computeLikelihood.ts';
import type { Identification } from './identifySpecimen.ts';

export interface NextLook {
  readonly featureId: string;
  /** Expected drop in the entropy of "which variant", in bits. */
  readonly gainBits: number;
  readonly effort: number;
}

/**
 * Features not answered yet, best first by expected information about the variant per unit of effort.
 *
 * Gain is the mutual information between the variant and a sure reading of the feature: H(o) - sum_v p(v) H(o | v).
 * The dates are left out of this expectation. Features that separate nothing are at the end with gain 0.
 */
export function computeNextLooks(
  catalogue: IdentifyCatalogue,
  answers: readonly Answer[],
  identification: Identification,
  settings: IdentifySettings = DEFAULT_SETTINGS,
): NextLook[] {
  const answered = new Set(answers.map((answer) => answer.featureId));
  const probability = new Map(identification.ranked.map((variant) => [variant.variantId, variant.probability]));
  return catalogue.features
    .filter((feature) => !answered.has(feature.id))
    .map((feature) => ({
      featureId: feature.id,
      gainBits: Math.max(0, computeGain(feature, catalogue, probability, identification.noneProbability, settings)),
      effort: feature.effort,
    }))
    .sort((a, b) => b.gainBits / b.effort - a.gainBits / a.effort || a.featureId.localeCompare(b.featureId));
}

function computeGain(
  feature: IdentifyFeature,
  catalogue: IdentifyCatalogue,
  probability: ReadonlyMap<string, number>,
  noneProbability: number,
  settings: IdentifySettings,
): number {
  const marginal = new Float64Array(feature.states.length);
  let conditional = 0;
  for (const variant of [...catalogue.variants, null]) {
    const weight = variant ? (probability.get(variant.id) ?? 0) : noneProbability;
    if (weight < 1e-12) continue;
    const outcome = feature.states.map((state) =>
      combineLikelihood(
        computeLikelihood({ featureId: feature.id, stateId: state.id, certainty: 'sure' }, feature, variant, settings),
      ),
    );
    const sum = outcome.reduce((a, b) => a + b, 0);
    outcome.forEach((likelihood, i) => {
      const p = likelihood / sum;
      marginal[i]! += weight * p;
      if (p > 0) conditional -= weight * p * Math.log2(p);
    });
  }
  let entropy = 0;
  for (const p of marginal) if (p > 0) entropy -= p * Math.log2(p);
  return entropy - conditional;
}
