import type { ClosedJoint, PartDone, PlanCoat, PlanFinding, PlanPart } from '../facts/specimenFacts.ts';
import { describeFinding, listNames } from '../words/names.ts';
import { sayCondition } from '../words/sayCondition.ts';
import type { PlanInput } from './planTypes.ts';
import { chooseOption, SCHOOLS } from '../schools/schools.ts';

/** What became different between two surveys of one model, in words: the reason why its plan changed. */
export function explainChange(before: PlanInput, after: PlanInput): string[] {
  const old = new Map(before.parts.map((part) => [part.key, part]));
  const now = new Set(after.parts.map((part) => part.key));
  return [
    ...(before.scope === after.scope ? [] : [`the job is ${after.scope} now`]),
    ...(before.hasSecondWheels === after.hasSecondWheels
      ? []
      : [after.hasSecondWheels ? 'another example with wheels is here' : 'no other example has wheels any more']),
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

/** How much of it to pour changes no step. */
const asPlanned = (coat: PlanCoat) => ({ ...coat, pour: null });

function describePart(before: PlanPart, after: PlanPart): string[] {
  const say = (words: string) => `${after.name}: ${words}`;
  const isThere = (list: readonly PlanFinding[], one: PlanFinding) =>
    list.some((other) => JSON.stringify(asFound(other)) === JSON.stringify(asFound(one)));
  return [
    ...(before.material === after.material ? [] : [say(`${after.material} instead of ${before.material}`)]),
    ...(before.state === after.state ? [] : [say(`${after.state} instead of ${before.state}`)]),
    ...after.findings
      .filter((one) => !isThere(before.findings, one))
      .map((one) => say(`found ${describeFinding(one)}`)),
    ...after.findings
      .filter((one) =>
        before.findings.some(
          (was) => was.id === one.id && (was.mend !== one.mend || was.carriesLoad !== one.carriesLoad),
        ),
      )
      .map((one) => say(`${describeFinding(one)} is mended otherwise`)),
    ...before.findings
      .filter((one) => !isThere(after.findings, one))
      .map((one) => say(`no longer ${describeFinding(one)}`)),
    ...(before.isKept === after.isKept ? [] : [say(after.isKept ? 'kept as it is' : 'not kept as it is after all')]),
    ...(JSON.stringify(before.coats.map(asPlanned)) === JSON.stringify(after.coats.map(asPlanned)) ||
    before.isKept !== after.isKept
      ? []
      : [say('another coat is planned')]),
    ...(before.painted === after.painted && before.found.length === after.found.length
      ? []
      : [say('other layers as found')]),
    ...after.wants
      .filter(({ id, kind, what, state, getBy }) => {
        const was = before.wants.find((want) => want.id === id);
        return was?.what !== what || was.state !== state || was.getBy !== getBy || was.kind !== kind;
      })
      .map(({ what, state }) => say(`want ${what} (${state})`)),
    ...before.wants
      .filter((want) => after.wants.every((one) => one.id !== want.id))
      .map((want) => say(`no want ${want.what} any more`)),
    ...describeDone(before.done, after.done).map(say),
  ];
}

/** What was seen; how it is mended is another matter. */
const asFound = ({ mend: _mend, carriesLoad: _carriesLoad, ...seen }: PlanFinding) => seen;

function describeDone(before: PartDone, after: PartDone): string[] {
  const was = (layerId: string) => before.rejected.find((coat) => coat.layerId === layerId);
  const coatsOf = ({ coatsOn }: PartDone) => coatsOn.map(({ areaName, kind }) => `${kind} on the ${areaName}`);
  return [
    ...after.rejected.filter((coat) => !was(coat.layerId)).map((coat) => `${coat.name} was rejected: ${coat.because}`),
    ...after.rejected
      .filter((coat) => coat.isOff && was(coat.layerId)?.isOff === false)
      .map((coat) => `${coat.name} is off again`),
    ...(before.stripped === after.stripped ? [] : [after.stripped ? 'its old paint is off' : 'not stripped after all']),
    ...(before.shared.join() === after.shared.join()
      ? []
      : [`${listNames(after.shared) || 'no run of the oven'} behind it`]),
    ...(before.isMended === after.isMended ? [] : [after.isMended ? 'mended' : 'not mended after all']),
    ...(coatsOf(before).join() === coatsOf(after).join()
      ? []
      : [`carries ${listNames(coatsOf(after)) || 'no new coat'} now`]),
  ];
}

function describeJoints(before: PlanInput, after: PlanInput): string[] {
  const keysOf = (joints: readonly ClosedJoint[]) => new Set(joints.map((joint) => joint.key));
  const wasClosed = keysOf(before.closed);
  const isClosed = keysOf(after.closed);
  const known = keysOf([...before.opening, ...before.closed]);
  const isKnown = keysOf([...after.opening, ...after.closed]);
  return [
    ...after.opening.filter((joint) => wasClosed.has(joint.key)).map((joint) => `${joint.label}: opened now`),
    ...before.opening.filter((joint) => isClosed.has(joint.key)).map((joint) => `${joint.label}: stays closed now`),
    ...[...after.opening, ...after.closed]
      .filter((joint) => known.has(joint.key) && conditionOf(before, joint.key) !== joint.condition)
      .map((joint) => `${joint.label}: found ${sayCondition(joint.condition)}`),
    ...after.opening.filter((joint) => !known.has(joint.key)).map((joint) => `${joint.label}: a joint that was found`),
    ...before.opening
      .filter((joint) => !isKnown.has(joint.key))
      .map((joint) => `${joint.label}: no such joint after all`),
  ];
}

const conditionOf = ({ opening, closed }: PlanInput, key: string) =>
  [...opening, ...closed].find((joint) => joint.key === key)?.condition;
