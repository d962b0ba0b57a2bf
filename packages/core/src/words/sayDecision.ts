import type { SchoolKey, SchoolOption } from '../model/school.ts';
import type { DecisionReason } from '../schools/mergeDecisions.ts';
import { getSchool } from '../schools/schools.ts';
import { endWithoutStop } from './names.ts';

/** What is done where restorers disagree, and why: "gel. It stays where it is put and works wet." */
export function sayDecision(key: SchoolKey, chosen: SchoolOption, why: DecisionReason | undefined): string {
  const { defaultOption, defaultReason } = getSchool(key);
  const own = why?.reason
    ? `${why.whose === 'house' ? 'House style' : 'On this job'}, ${endWithoutStop(why.reason)}.`
    : '';
  const reason = own || (chosen === defaultOption ? defaultReason : '');
  return reason ? `${chosen}. ${reason}` : `${chosen}.`;
}
