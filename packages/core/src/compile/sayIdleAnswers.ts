import { groupBy } from '../groupBy.ts';
import type { SchoolKey } from '../model/school.ts';
import { getSchool } from '../schools/schools.ts';
import { listNames, nameOf } from '../words/names.ts';
import type { PlanPart } from '../facts/specimenFacts.ts';
import type { PlanContext } from './planContext.ts';

/** Answers that somebody gave and that change nothing on this model, each with the reason. */
export function sayIdleAnswers(context: PlanContext): string[] {
  const { input, option } = context;
  const say = (school: SchoolKey, reason: string | null) =>
    reason === null || input.decisions[school] === undefined
      ? []
      : [`${getSchool(school).question}: “${option(school)}” changes nothing here: ${reason}.`];
  const refused = input.opening.flatMap((joint) => joint.insteadOf ?? []);
  return [
    ...new Set(refused),
    ...say(
      'S2',
      option('S2') === 're-bent tabs' ? 'tabs are bent back anyway, and a drilled post takes a screw' : null,
    ),
    ...say('S8', findSameOrder(context)),
    ...say('S15', option('S15') === 'glue' ? findNothingToGlue(context) : null),
  ];
}

/** In whatever order this answer has, the colours go on as they would by the usual one. */
function findSameOrder(context: PlanContext): string | null {
  const school = context.option('S8');
  const { workable } = context;
  if (school === 'light to dark' || workable.some((part) => !part.isUsualOrder)) return null;
  const hasOrder = workable.some((part) => part.colourOrder.length > 0);
  const touches = (part: PlanPart) =>
    part.coats.filter((coat) => coat.areaKind === 'mask' && !part.colourOrder.includes(coat.areaName));
  const isSame = hasOrder ? 'light to dark is the same order here' : null;
  if (school === 'the cheapest')
    return (
      isSame ??
      (workable.some((part) => touches(part).length > 1) ? 'small fields are touched in, light to dark' : null)
    );
  if (school === 'by masking effort') return findEqualMasking(context) ?? isSame;
  return workable.some((part) => touches(part).length > 1) ? null : isSame;
}

/** Every trim colour is on as many places as the next: masked once each, whichever comes first. */
function findEqualMasking({ workable }: PlanContext): string | null {
  const trims = workable.flatMap((part) => part.coats.filter((coat) => coat.areaKind === 'mask'));
  const places = [...groupBy(trims, (coat) => coat.name).values()].map((coats) => coats.length);
  return places.length > 1 && places.every((count) => count === places[0])
    ? 'each colour is masked as often as the others, so they go on as they are planned'
    : null;
}

function findNothingToGlue({ input: { parts } }: PlanContext): string | null {
  const gone = parts.filter((part) => part.state === 'missing' && part.wants.some((want) => want.kind === 'part'));
  const broken = parts.some((part) => part.state !== 'missing' && part.findings.some(({ kind }) => kind === 'broken'));
  return gone.length && !broken ? `what is missing cannot be glued (${listNames(gone.map(nameOf))})` : null;
}
