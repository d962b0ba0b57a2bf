import type { SchoolKey } from '../model/school.ts';
import { findReasonNotAsked } from '../schools/findReasonNotAsked.ts';
import { mergeDecisions } from '../schools/mergeDecisions.ts';
import { SCHOOLS } from '../schools/schools.ts';
import type { RecordDecision } from './jobRecord.ts';
import type { RecordInput } from './recordInput.ts';

/**
 * How the questions were answered on which restorers disagree, by whom, and why: those that have work on one of its models, and
 * those that the job answered itself.
 */
export function listDecided({ job, specimens, decisions, houseChoices }: RecordInput): RecordDecision[] {
  const { decisions: chosen, reasons } = mergeDecisions(houseChoices, decisions, job);
  const isAsked = (key: SchoolKey) =>
    decisions.some(({ school }) => school === key) ||
    specimens.some(({ facts }) => findReasonNotAsked(key, facts) === null);
  return SCHOOLS.filter(({ key }) => isAsked(key)).map(({ key, question, defaultOption, defaultReason }) => {
    const option = chosen[key] ?? defaultOption;
    const why = reasons[key];
    return {
      ...{ school: key, question, option, whose: why?.whose ?? 'usual' },
      reason: why?.reason ?? (option === defaultOption ? defaultReason : ''),
    };
  });
}
