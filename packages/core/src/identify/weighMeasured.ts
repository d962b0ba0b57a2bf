import { computeDe00 } from '../colour/difference.ts';
import type { IdentifyFeature, IdentifySettings, StateAnswer } from './catalogue.ts';
import { readingChance } from './readingChance.ts';
import { weighCaptured, type MeasuredWeights } from './weighCaptured.ts';
import { weighSized } from './weighSized.ts';

/** A captured colour and a measured size of one look, with the eye's word beside them, all on one scale. */
export function weighMeasured(
  answer: StateAnswer,
  feature: IdentifyFeature,
  settings: IdentifySettings,
): MeasuredWeights {
  const measured = [
    ...(answer.captured ? [weighCaptured(answer.captured, feature, settings)] : []),
    ...(answer.sized ? [weighSized(answer.sized, feature, settings)] : []),
  ];
  const isMeasured = feature.states.map((_, s) => measured.some((one) => one.isMeasured[s]));
  const all = [...measured, weighEye(answer, feature, { isMeasured }, settings)];
  return {
    ofState: feature.states.map((_, s) => all.reduce((product, { ofState }) => product * ofState[s]!, 1)),
    ofAny: all.reduce((product, { ofAny }) => product * ofAny, 1),
    isMeasured,
  };
}

/**
 * Chance of the eye's word, by state. Among states that were measured the number decides alone: whoever has seen it cannot
 * judge by eye any more.
 */
function weighEye(
  answer: StateAnswer,
  feature: IdentifyFeature,
  { isMeasured }: Pick<MeasuredWeights, 'isMeasured'>,
  { readingRight }: Pick<IdentifySettings, 'readingRight'>,
): { readonly ofState: readonly number[]; readonly ofAny: number } {
  const { stateId, certainty } = answer;
  if (stateId === null || certainty === 'cannot see') return { ofState: feature.states.map(() => 1), ofAny: 1 };
  const right = readingRight[certainty as keyof typeof readingRight];
  const chances = feature.states.map((state) => readingChance(stateId, state.id, feature, right));
  const isMeasuredToo = isMeasured[feature.states.findIndex(({ id }) => id === stateId)];
  const measured = chances.filter((_, s) => isMeasured[s]);
  const level = measured.reduce((sum, chance) => sum + chance, 0) / measured.length;
  return {
    ofState: chances.map((chance, s) => (isMeasuredToo && isMeasured[s] ? level : chance)),
    ofAny: 1 / feature.states.length,
  };
}

/** What was measured says of a state. */
export interface MeasuredState {
  readonly stateId: string;
  /** How probable it is, the eye's word with it, if all states were alike beforehand. */
  readonly share: number;
  /** dE00 from its measured colour to the reading that has faded least; null where it was not measured, or not alike. */
  readonly de: number | null;
  /** By how much what was measured is more than its own size, in its unit; null where either was not measured. */
  readonly off: number | null;
}

/** States by what was measured and seen of them, the likeliest first; what is left to 1 is none of them. */
export function shareStates(
  answer: StateAnswer,
  feature: IdentifyFeature,
  settings: IdentifySettings,
): MeasuredState[] {
  const { captured, sized } = answer;
  const weights = weighMeasured(answer, feature, settings);
  const total = weights.ofState.reduce((sum, weight) => sum + weight, weights.ofAny);
  const captures = captured && weighCaptured(captured, feature, settings);
  const reading = captured?.readings.find(({ place }) => place === 'sheltered') ?? captured?.readings[0];
  return feature.states
    .map(({ id, colour, size }, s) => ({
      stateId: id,
      share: weights.ofState[s]! / total,
      de: captures?.isMeasured[s] ? computeDe00(reading!.lab, colour!.lab) : null,
      off: sized && size?.unit === sized.unit ? sized.value - size.value : null,
    }))
    .sort((a, b) => b.share - a.share);
}
