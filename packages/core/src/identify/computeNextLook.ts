import {
  DEFAULT_SETTINGS,
  type Answer,
  type IdentifyCatalogue,
  type IdentifyFeature,
  type IdentifySettings,
  type IdentifyVariant,
} from './catalogue.ts';
import { combineLikelihood, createLikelihood } from './createLikelihood.ts';
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
  const likelihoods = feature.states.map((state) =>
    createLikelihood({ featureId: feature.id, stateId: state.id, certainty: 'sure' }, feature, settings),
  );
  const marginal = new Float64Array(feature.states.length);
  const outcome = new Float64Array(feature.states.length);
  let conditional = 0;
  const add = (variant: IdentifyVariant | null, weight: number) => {
    if (weight < 1e-12) return;
    let sum = 0;
    likelihoods.forEach((likelihood, i) => {
      outcome[i] = combineLikelihood(likelihood(variant));
      sum += outcome[i]!;
    });
    for (let i = 0; i < outcome.length; i++) {
      const p = outcome[i]! / sum;
      marginal[i]! += weight * p;
      if (p > 0) conditional -= weight * p * Math.log2(p);
    }
  };
  // Variants that are known with the same single state answer alike: they are counted together.
  const alike = new Map<string, { readonly variant: IdentifyVariant; weight: number }>();
  let unrecorded = noneProbability;
  for (const variant of catalogue.variants) {
    const weight = probability.get(variant.id) ?? 0;
    const recorded = variant.states[feature.id];
    const single = recorded && selectSingle(recorded);
    if (!recorded) unrecorded += weight;
    else if (single === null) add(variant, weight);
    else {
      const group = alike.get(single!);
      if (group) group.weight += weight;
      else alike.set(single!, { variant, weight });
    }
  }
  for (const { variant, weight } of alike.values()) add(variant, weight);
  add(null, unrecorded);
  let entropy = 0;
  for (const p of marginal) if (p > 0) entropy -= p * Math.log2(p);
  return entropy - conditional;
}

/** The one state that is recorded with the whole share; null when there are several. */
function selectSingle(recorded: Readonly<Record<string, number>>): string | null {
  let single: string | null = null;
  for (const stateId in recorded) {
    if (single !== null || recorded[stateId] !== 1) return null;
    single = stateId;
  }
  return single;
}
