import type { Decision } from '../model/work.ts';
import type { PlanInput } from '../compile/planTypes.ts';

/** What the house answers to one school, for every job that does not say otherwise. */
export interface HouseChoice {
  readonly school: string;
  readonly option: string;
  readonly reason: string;
}

/** The job's own decisions before the house's, with the reason and whose it is: shown in the plan as because. */
export function mergeDecisions(
  house: readonly HouseChoice[],
  job: readonly Pick<Decision, 'school' | 'option' | 'reason'>[],
): Required<Pick<PlanInput, 'decisions' | 'reasons'>> {
  const decisions: Record<string, string> = {};
  const reasons: Record<string, string> = {};
  for (const { school, option, reason } of house) {
    decisions[school] = option;
    reasons[school] = `house style, ${reason}`;
  }
  for (const { school, option, reason } of job) {
    decisions[school] = option;
    reasons[school] = `on this job, ${reason}`;
  }
  return { decisions, reasons };
}
