import {
  isByMeasuring,
  isMeasured,
  isSilent,
  type Answer,
  type IdentifyFeature,
  type IdentifySettings,
  type IdentifyState,
} from './catalogue.ts';
import { shareStates } from './weighMeasured.ts';

/** The state that an answer names, and how far it is to be believed, 0 to 1. */
export interface ReadState {
  readonly feature: IdentifyFeature;
  readonly state: IdentifyState;
  readonly right: number;
}

/**
 * The state that was read by eye, or the likeliest one by what was measured; null for an answer that names none: a size,
 * nothing seen, a replacement.
 */
export function readState(
  answer: Answer,
  features: readonly IdentifyFeature[],
  settings: IdentifySettings,
): ReadState | null {
  if (isMeasured(answer) || isSilent(answer) || answer.certainty === 'replaced') return null;
  const feature = features.find(({ id }) => id === answer.featureId);
  if (!feature) return null;
  const stateOf = (stateId: string | null) => feature.states.find(({ id }) => id === stateId);
  if (isByMeasuring(answer)) {
    const [likeliest] = shareStates(answer, feature, settings);
    return { feature, state: stateOf(likeliest!.stateId)!, right: likeliest!.share };
  }
  const state = stateOf(answer.stateId);
  const right = settings.readingRight[answer.certainty as keyof typeof settings.readingRight];
  return state ? { feature, state, right } : null;
}
