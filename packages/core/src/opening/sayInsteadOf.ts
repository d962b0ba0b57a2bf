import { chooseOption, getSchool } from '../schools/schools.ts';
import type { Decisions } from '../model/school.ts';
import type { KnownJoint, PlanJoint } from '../facts/specimenFacts.ts';
import type { OpeningPart } from './openingQuestion.ts';
import { findWayRefusal } from './selectStandableWays.ts';

/** What no way of a joint can do, whatever stands it. */
const NO_WAY: Readonly<Partial<Record<string, string>>> = {
  'lift out': 'the ends are formed and do not pass through',
};

/**
 * "Getting axles out: not grind one head, the axles wear old paint: ...". Empty where the joint is opened as the school says,
 * was open already, or no school speaks of it.
 */
export function sayInsteadOf(
  joint: KnownJoint,
  taken: PlanJoint['way'],
  { parts, decisions }: { readonly parts: readonly OpeningPart[]; readonly decisions: Decisions },
): string {
  const school = joint.ways.find((way) => way.school)?.school?.key;
  if (school === undefined || joint.openedBy !== undefined || joint.condition !== undefined) return '';
  const answer = chooseOption(school, decisions);
  if (answer === taken.school?.option) return '';
  const refusals = joint.ways
    .filter((way) => way.school?.option === answer)
    .map((way) => findWayRefusal(way, joint, parts));
  const reason = refusals.find((one) => one !== null) ?? NO_WAY[answer];
  return reason ? `${getSchool(school).question}: not ${answer}, ${reason}.` : '';
}
