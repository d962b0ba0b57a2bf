import type { ProductionSpan, VariantState } from '../model/catalogue.ts';
import { isMeasured, isSilent, type Answer, type IdentifyCatalogue, type IdentifySettings } from './catalogue.ts';
import { hullOf, type DateSpan } from './computeDateSpan.ts';
import { readState } from './readState.ts';

/** What a model shows of its issue, as it can be written down. */
export interface IssueDraft {
  readonly states: readonly Pick<VariantState, 'featureId' | 'stateId'>[];
  /** Features that were answered but speak for no issue: exchanged, or more likely altered than not, or read unsure. */
  readonly leftOut: readonly string[];
  readonly span: ProductionSpan;
}

/**
 * An issue as one model of it shows it: the states read on it that are more likely as they left the factory than not; made
 * in the 90 % region of the model's date, as far as this one model tells.
 */
export function draftIssue(
  { features }: IdentifyCatalogue,
  answers: readonly Answer[],
  alteredChances: ReadonlyMap<string, number>,
  date: DateSpan,
  settings: IdentifySettings,
): IssueDraft {
  const states: { featureId: string; stateId: string }[] = [];
  const leftOut: string[] = [];
  for (const answer of answers) {
    if (isMeasured(answer) || isSilent(answer)) continue;
    const read = readState(answer, features, settings);
    const isOwn = read !== null && read.right >= settings.readingRight.likely;
    if (isOwn && (alteredChances.get(answer.featureId) ?? 0) <= 0.5)
      states.push({ featureId: answer.featureId, stateId: read.state.id });
    else leftOut.push(answer.featureId);
  }
  const { fromYear, toYear } = hullOf(date.region90);
  return {
    states,
    leftOut,
    span: { startEarliest: fromYear, startLatest: fromYear, endEarliest: toYear, endLatest: toYear },
  };
}
