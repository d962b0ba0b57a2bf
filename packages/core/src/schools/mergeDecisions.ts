import { isSchoolOption, type Decisions, type SchoolKey } from '../model/school.ts';
import type { Decision } from '../model/work.ts';

/** What the house answers to one school, for every job that does not say otherwise. */
export type HouseChoice = Pick<Decision, 'school' | 'option' | 'reason'>;

/** Why a school was answered so, and whose answer it is. */
export interface DecisionReason {
  readonly whose: 'house' | 'job';
  readonly reason: string;
}
export type DecisionReasons = { readonly [Key in SchoolKey]?: DecisionReason };

/** The job's own decisions before the house's, with the reason and whose it is. An answer that no school has is left out. */
export function mergeDecisions(
  house: readonly HouseChoice[],
  job: readonly HouseChoice[],
): { readonly decisions: Decisions; readonly reasons: DecisionReasons } {
  const decisions: Partial<Record<SchoolKey, string>> = {};
  const reasons: Partial<Record<SchoolKey, DecisionReason>> = {};
  const take = (whose: DecisionReason['whose'], choices: readonly HouseChoice[]) => {
    for (const { school, option, reason } of choices) {
      if (!isSchoolOption(school, option)) continue;
      decisions[school] = option;
      reasons[school] = { whose, reason };
    }
  };
  take('house', house);
  take('job', job);
  return { decisions: decisions as Decisions, reasons };
}
