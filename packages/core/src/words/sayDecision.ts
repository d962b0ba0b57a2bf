import type { SchoolKey, SchoolOption } from '../model/school.ts';
import type { DecisionReason } from '../schools/mergeDecisions.ts';
import { getSchool } from '../schools/schools.ts';
import { endWithoutStop } from './names.ts';

const WHOSE: Readonly<Record<DecisionReason['whose'], string>> = {
  ...{ house: 'House style', target: 'On this job', job: 'On this job' },
};

/** What is done where restorers disagree, and why: "gel. It stays where it is put and works wet." */
export function sayDecision(key: SchoolKey, chosen: SchoolOption, why: DecisionReason | undefined): string {
  const { defaultOption, defaultReason } = getSchool(key);
  const own = why?.reason ? `${WHOSE[why.whose]}, ${endWithoutStop(why.reason)}.` : '';
  const reason = own || (chosen === defaultOption ? defaultReason : '');
  return reason ? `${chosen}. ${reason}` : `${chosen}.`;
}
