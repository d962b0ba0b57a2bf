import type { Answer, IdentifyFeature, IdentifyState } from './catalogue.ts';
import { quarterMiddle, type QuarterAxis } from './quarters.ts';

/** An answer whose state was only used in certain years, over the whole range. */
export interface DatedAnswer {
  readonly feature: IdentifyFeature;
  readonly state: IdentifyState;
}

/** The answers that say something of the date: a state that was read, that has dates, and that nobody says was replaced. */
export function selectDatedAnswers(answers: readonly Answer[], features: readonly IdentifyFeature[]): DatedAnswer[] {
  return answers.flatMap((answer) => {
    if (answer.certainty === 'cannot see' || answer.certainty === 'missing' || answer.certainty === 'replaced')
      return [];
    const feature = features.find((candidate) => candidate.id === answer.featureId);
    const state = feature?.states.find((candidate) => candidate.id === answer.stateId);
    return feature && state && (state.fromYear !== null || state.toYear !== null) ? [{ feature, state }] : [];
  });
}

/**
 * Weight of each quarter by the range-wide dates of what was seen. What is cast in cuts hard; through a part that can be
 * replaced the dates are evidence and not a wall: outside them the weight falls to the chance of an alteration.
 */
export function computeStateDateWeights(dated: readonly DatedAnswer[], axis: QuarterAxis): Float64Array {
  const weights = new Float64Array(axis.count).fill(1);
  for (const { feature, state } of dated) {
    const outside = feature.castIn ? 0 : feature.alteredChance;
    for (let i = 0; i < axis.count; i++) {
      const year = quarterMiddle(axis, i);
      const inside = year >= (state.fromYear ?? -Infinity) && year <= (state.toYear ?? Infinity);
      if (!inside) weights[i]! *= outside;
    }
  }
  return weights;
}
