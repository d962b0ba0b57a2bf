import type { PlanFinding, PlanPart } from '../facts/specimenFacts.ts';
import { describeFinding } from '../words/names.ts';
import type { PlanInput } from './planTypes.ts';
import { chooseOption, SCHOOLS } from '../schools/schools.ts';

/** What became different between two surveys of one model, in words: the reason why its plan changed. */
export function explainChange(before: PlanInput, after: PlanInput): string[] {
  const old = new Map(before.parts.map((part) => [part.key, part]));
  const now = new Set(after.parts.map((part) => part.key));
  return [
    ...(before.scope === after.scope ? [] : [`the job is ${after.scope} now`]),
    ...SCHOOLS.flatMap(({ key, question }) => {
      const [was, is] = [chooseOption(key, before.decisions), chooseOption(key, after.decisions)];
      return was === is ? [] : [`${question}: ${is} instead of ${was}`];
    }),
    ...after.parts.flatMap((part) => {
      const was = old.get(part.key);
      return was ? describePart(was, part) : [`${part.name}: new`];
    }),
    ...before.parts.filter((part) => !now.has(part.key)).map((part) => `${part.name}: gone`),
    ...describeJoints(before, after),
  ];
}

function describePart(before: PlanPart, after: PlanPart): string[] {
  const say = (words: string) => `${after.name}: ${words}`;
  const isThere = (list: readonly PlanFinding[], one: PlanFinding) =>
    list.some((other) => JSON.stringify(other) === JSON.stringify(one));
  const wantsOf = (part: PlanPart) => part.wants.map((want) => `${want.what} (${want.state})`);
  return [
    ...(before.material === after.material ? [] : [say(`${after.material} instead of ${before.material}`)]),
    ...(before.state === after.state ? [] : [say(`${after.state} instead of ${before.state}`)]),
    ...after.findings
      .filter((one) => !isThere(before.findings, one))
      .map((one) => say(`found ${describeFinding(one)}`)),
    ...before.findings
      .filter((one) => !isThere(after.findings, one))
      .map((one) => say(`no longer ${describeFinding(one)}`)),
    ...(JSON.stringify(before.coats) === JSON.stringify(after.coats) ? [] : [say('another coat is planned')]),
    ...(before.painted === after.painted && before.found.length === after.found.length
      ? []
      : [say('other layers as found')]),
    ...wantsOf(after)
      .filter((one) => !wantsOf(before).includes(one))
      .map((one) => say(`want ${one}`)),
    ...before.wants
      .filter((want) => after.wants.every((one) => one.id !== want.id))
      .map((want) => say(`no want ${want.what} any more`)),
  ];
}

function describeJoints(before: PlanInput, after: PlanInput): string[] {
  const closedBefore = new Set(before.closed.map((joint) => joint.key));
  const closedNow = new Set(after.closed.map((joint) => joint.key));
  return [
    ...after.opening.filter((joint) => closedBefore.has(joint.key)).map((joint) => `${joint.label}: opened now`),
    ...before.opening.filter((joint) => closedNow.has(joint.key)).map((joint) => `${joint.label}: stays closed now`),
  ];
}
