import type { Answer, IdentifyFeature, IdentifySettings, IdentifyVariant } from './catalogue.ts';

/** The two halves of P(o | v): as it left the factory, and as a later alteration would look. */
export interface LikelihoodParts {
  readonly original: number;
  readonly altered: number;
  /** a_f as used for this answer. */
  readonly alteredChance: number;
}

/** The likelihood of one answer as a function of the variant; null is "none in the catalogue". */
export type AnswerLikelihood = (variant: IdentifyVariant | null) => LikelihoodParts;

/**
 * P(o | v) = (1 - a_f) C(o | state(v, f)) + a_f B_f(o), in its parts, for one answer and any variant.
 *
 * C puts the stated certainty on the state that was read and shares the rest among its look-alikes (all other states
 * when it has none). B_f is even over the states: nothing is known of what a replacement looks like.
 * A feature the variant has no record of is even too. "Cannot see" and "missing" are no evidence and give 1;
 * "replaced" sets a_f to 1, so the state says nothing of the variant.
 *
 * What depends on the answer alone is worked out once: a catalogue has many variants and a feature few states.
 */
export function createLikelihood(
  answer: Answer,
  feature: IdentifyFeature,
  settings: IdentifySettings,
): AnswerLikelihood {
  const { certainty, stateId } = answer;
  if (certainty === 'cannot see' || certainty === 'missing' || stateId === null) {
    const silent = { original: 1, altered: 1, alteredChance: feature.alteredChance };
    return () => silent;
  }
  const even = 1 / feature.states.length;
  if (certainty === 'replaced') {
    const replaced = { original: 0, altered: even, alteredChance: 1 };
    return () => replaced;
  }
  const right = settings.readingRight[certainty];
  const readingFrom = new Map(
    feature.states.map((state) => [state.id, readingChance(stateId, state.id, feature, right)] as const),
  );
  const { alteredChance } = feature;
  const unrecorded = { original: even, altered: even, alteredChance };
  return (variant) => {
    const recorded = variant?.states[feature.id];
    if (!recorded) return unrecorded;
    let original = 0;
    for (const trueId in recorded) original += recorded[trueId]! * (readingFrom.get(trueId) ?? 0);
    return { original, altered: even, alteredChance };
  };
}

/** P(o | v) as one number. */
export function combineLikelihood(parts: LikelihoodParts): number {
  return (1 - parts.alteredChance) * parts.original + parts.alteredChance * parts.altered;
}

/** C: the chance of reading `readId` when the true state is `trueId`. */
export function readingChance(readId: string, trueId: string, feature: IdentifyFeature, right: number): number {
  if (feature.states.length === 1) return 1;
  if (readId === trueId) return right;
  const alikes = feature.states.find((state) => state.id === trueId)?.lookAlikes ?? [];
  if (alikes.length === 0) return (1 - right) / (feature.states.length - 1);
  return alikes.includes(readId) ? (1 - right) / alikes.length : 0;
}
