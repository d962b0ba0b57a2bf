import { isSchoolOption, type Decisions, type SchoolKey } from '../model/school.ts';
import type { Decision, Job } from '../model/work.ts';

/** What the house answers to one school, for every job that does not say otherwise. */
export type HouseChoice = Pick<Decision, 'school' | 'option' | 'reason'>;

/** Why a school was answered so, and whose answer it is. */
export interface DecisionReason {
  readonly whose: 'house' | 'target' | 'job';
  readonly reason: string;
}
export type DecisionReasons = { readonly [Key in SchoolKey]?: DecisionReason };

/** What the target of a job answers by itself; the job's own decisions still go first. */
const BY_TARGET: Readonly<Record<Job['target'], readonly HouseChoice[]>> = {
  'as issued': [],
  'period-correct': [
    { school: 'S10', option: 'the real vehicle', reason: 'the target is the real vehicle of its day' },
  ],
  custom: [{ school: 'S10', option: 'taste', reason: 'the target is a custom model' }],
};

/** What a scope answers whatever else was decided: paint that nobody asked to take off stays. */
const BY_SCOPE: Readonly<Record<Job['scope'], readonly HouseChoice[]>> = {
  full: [],
  'repair only': [{ school: 'S22', option: 'honest wear', reason: 'only repairs are asked for' }],
  'clean only': [],
};

/**
 * The job's own decisions before what its target says, and that before the house's, with the reason and whose it is. An
 * answer that no school has is left out.
 */
export function mergeDecisions(
  house: readonly HouseChoice[],
  job: readonly HouseChoice[],
  { target, scope }: Pick<Job, 'target' | 'scope'> = { target: 'as issued', scope: 'full' },
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
  take('target', BY_TARGET[target]);
  take('job', job);
  take('target', BY_SCOPE[scope]);
  return { decisions: decisions as Decisions, reasons };
}
