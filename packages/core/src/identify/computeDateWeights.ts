import {
  isByMeasuring,
  isMeasured,
  type Answer,
  type DatedStatement,
  type IdentifyFeature,
  type IdentifySettings,
  type IdentifyState,
} from './catalogue.ts';
import type { EncodedCatalogue } from './encodeCatalogue.ts';
import { quarterMiddle, type QuarterAxis } from './quarters.ts';
import { readState, type ReadState } from './readState.ts';
import { weighStatements } from './weighStatements.ts';

/** An answer whose state was only used in certain years, over the whole range. */
export interface DatedAnswer extends ReadState {
  /** Read for sure on what cannot be exchanged: its dates are a wall. */
  readonly isHard: boolean;
}

/** The answers that say something of the date: a state that was read, that has dates, and that nobody says was replaced. */
export function selectDatedAnswers(
  answers: readonly Answer[],
  features: readonly IdentifyFeature[],
  settings: IdentifySettings,
): DatedAnswer[] {
  return answers.flatMap((answer) => {
    const read = readState(answer, features, settings);
    if (!read || !isDated(read.state)) return [];
    const isSure = !isMeasured(answer) && answer.certainty === 'sure' && !isByMeasuring(answer);
    return [{ ...read, isHard: read.feature.group === 'body casting' && isSure }];
  });
}

export const isDated = (state: IdentifyState): boolean => state.fromYear !== null || state.toYear !== null;

export const isInside = ({ fromYear, toYear }: IdentifyState, year: number): boolean =>
  year >= (fromYear ?? -Infinity) && year <= (toYear ?? Infinity);

/**
 * What is left of a quarter outside a state's range-wide dates: nothing when the reading is hard, otherwise the chance
 * that the feature was altered or misread.
 */
export const leakOutside = (isHard: boolean, alteredChance: number, right: number): number =>
  isHard ? 0 : 1 - (1 - alteredChance) * right;

/**
 * Weight of each quarter under each history, [history * quarters + quarter], by the range-wide dates of what was seen and
 * by what people said of this specimen. null when nothing speaks of the date.
 */
export function computeDateWeights(
  { histories, axis }: Pick<EncodedCatalogue, 'histories' | 'axis'>,
  dated: readonly DatedAnswer[],
  statements: readonly DatedStatement[],
  settings: IdentifySettings,
): Float64Array | null {
  if (dated.length === 0 && statements.length === 0) return null;
  const weights = new Float64Array(histories.length * axis.count);
  const said = Float64Array.from({ length: axis.count }, (_, q) =>
    weighStatements(statements, quarterMiddle(axis, q), settings),
  );
  histories.forEach((history, h) => weights.set(said, h * axis.count));
  for (const { feature, state, right, isHard } of dated) {
    const outside = selectOutside(state, axis);
    histories.forEach((history, h) => {
      const leak = leakOutside(isHard, history.rates[feature.group], right);
      for (const q of outside) weights[h * axis.count + q]! *= leak;
    });
  }
  return weights;
}

/** The quarters whose middle lies outside a state's dates. */
export function selectOutside(state: IdentifyState, axis: QuarterAxis): number[] {
  return Array.from({ length: axis.count }, (_, q) => q).filter((q) => !isInside(state, quarterMiddle(axis, q)));
}
