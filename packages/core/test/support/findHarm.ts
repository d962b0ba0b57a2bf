import { isMetal } from '../../src/model/material.ts';
import type { TaskTag } from '../../src/model/taskTags.ts';
import { isPestSuspect } from '../../src/facts/chooseTreatment.ts';
import { listPartMaterials } from '../../src/facts/listPartMaterials.ts';
import type { PlanPart } from '../../src/facts/specimenFacts.ts';
import type { CompiledPlan, PlanInput, PlannedTask, PlanNotice } from '../../src/compile/planTypes.ts';
import { judgePart } from '../../src/process/judgePart.ts';

const WITH_PROCESS: readonly TaskTag[] = [
  'strip',
  'straighten hot',
  'anneal',
  'bake',
  'low bake',
  'blast',
  'drill and tap',
  'solder',
  'dry abrade',
];
const BAKES: readonly TaskTag[] = ['bake', 'low bake'];
/** What lets go, comes off or is made anew when old paint is taken off. */
const COMES_OFF = new Set(['water-slide decal', 'two-part filler', 'cyanoacrylate bond']);

/**
 * What a plan would do that hurts somebody or a model, looked for task by task with the table of materials and processes;
 * shares no code with the rules that make the tasks. Names each harm.
 */
export function findHarm(input: PlanInput, plan: Extract<CompiledPlan, { kind: 'plan' }>): string[] {
  const { tasks } = plan;
  const partsOf = (task: PlannedTask) =>
    input.parts.filter((part) => task.partKeys.includes(part.key) && part.state !== 'missing');
  return tasks.flatMap((task) => [
    ...findForbiddenPairs(task, partsOf(task), input),
    ...findBakedWrongly(task, partsOf(task), tasks, input),
    ...findDryLead(task, partsOf(task), tasks),
    ...findWetted(task, input),
    ...findPestTouched(task, partsOf(task)),
    ...findLongWatch(task, plan.notices, input),
    ...(has(task, 'spark', 'flame') && has(task, 'vapour', 'bath')
      ? [`${task.key}: spark and vapour in one task`]
      : []),
    ...(has(task, 'heat', 'chemical', 'vapour', 'spark', 'flame', 'bath') && !task.hazards?.length
      ? [`${task.key}: no hazard card`]
      : []),
  ]);
}

const has = (task: PlannedTask, ...tags: TaskTag[]) => task.tags.some((tag) => tags.includes(tag));

function findForbiddenPairs(task: PlannedTask, parts: readonly PlanPart[], input: PlanInput): string[] {
  const { process } = task;
  if (!process) return has(task, ...WITH_PROCESS) ? [`${task.key}: says not what the part meets`] : [];
  return parts.flatMap((part) => {
    // A drill at a joint goes into what is bored, not into what hangs beside it.
    if (process === 'abrasive' && task.station === 'open' && part.role !== 'axle') return [];
    const own = listPartMaterials(part, input);
    const met = has(task, 'strip')
      ? own.filter((one) => !COMES_OFF.has(one))
      : own.filter((one) => one === own[0] || !COMES_OFF.has(one));
    const { verdict, material, reason } = judgePart(met, process, task.atC === null ? {} : { atC: task.atC });
    if (verdict === 'never') return [`${task.key}: ${process} on ${material} (${reason})`];
    return [];
  });
}

function findBakedWrongly(
  task: PlannedTask,
  parts: readonly PlanPart[],
  tasks: readonly PlannedTask[],
  input: PlanInput,
): string[] {
  if (!has(task, ...BAKES)) return [];
  // Glue and filler stand 60 °C and no more.
  const isLow = has(task, 'low bake') && task.atC !== null && task.atC <= 60;
  const isIn = (part: PlanPart, joints: PlanInput['closed'], kind: string) =>
    joints.some((joint) => joint.kind === kind && joint.partKeys.includes(part.key));
  return parts.flatMap((part) => {
    const gluedBefore = tasks.find(
      (other) =>
        other.seq < task.seq && has(other, 'glue', 'fill', 'solder', 'refill') && other.partKeys.includes(part.key),
    );
    return [
      ...(isPestSuspect(part) ? [`${task.key}: bakes pest`] : []),
      ...(part.material === 'lead alloy' ? [`${task.key}: bakes lead`] : []),
      ...(isMetal(part.material) ? [] : [`${task.key}: bakes ${part.material}`]),
      ...(isIn(part, input.closed, 'solder') || isIn(part, input.opening, 'solder')
        ? [`${task.key}: bakes solder`]
        : []),
      ...(isIn(part, input.closed, 'glue') || (!isLow && part.findings.some((one) => one.kind === 'earlier repair'))
        ? [`${task.key}: bakes glue`]
        : []),
      ...(input.closed.some((joint) => joint.partKeys.includes(part.key) && holds(joint.partKeys, input))
        ? [`${task.key}: bakes a closed joint`]
        : []),
      ...(gluedBefore && !(isLow && !has(gluedBefore, 'solder'))
        ? [`${task.key}: bakes what ${gluedBefore.key} glued`]
        : []),
    ];
  });
}

const holds = (keys: readonly string[], { parts }: PlanInput) =>
  parts.filter((part) => keys.includes(part.key) && part.state !== 'missing').length > 1;

/** Rust, swell, warp or shed into the water. */
const HURT_BY_WATER = [
  ...['tinplate', 'paper', 'cloth', 'fibre board', 'lead alloy', 'pest-suspect zinc'],
  ...['acetate or celluloid', 'unknown plastic'],
];

/** A model washed in one piece wets all of it: decals float, seams rust, card swells, pest goes on. */
function findWetted(task: PlannedTask, input: PlanInput): string[] {
  if (task.act !== 'wash-once') return [];
  return input.parts
    .filter((part) => part.state !== 'missing')
    .filter(
      ({ material, found, findings, painted }) =>
        HURT_BY_WATER.includes(material) ||
        found.includes('decal') ||
        findings.some((finding) => finding.kind === 'pest') ||
        (material === 'steel' && !painted && !found.includes('plating')),
    )
    .map((part) => `${task.key}: wets the ${part.key}`);
}

/** Paint of unknown age counts as leaded: nothing dry, hot or sparking touches it before it came off wet. */
function findDryLead(task: PlannedTask, parts: readonly PlanPart[], tasks: readonly PlannedTask[]): string[] {
  const isDry =
    has(task, 'dry abrade', 'blast', 'straighten hot', 'anneal') || (task.process === 'abrasive' && has(task, 'spark'));
  if (!isDry) return [];
  return parts
    .filter((part) => part.painted && !(task.station === 'open' && part.role !== 'axle'))
    .filter(
      (part) =>
        !tasks.some((other) => other.seq < task.seq && has(other, 'strip') && other.partKeys.includes(part.key)),
    )
    .map((part) => `${task.key}: dry on the old paint of ${part.key}`);
}

function findPestTouched(task: PlannedTask, parts: readonly PlanPart[]): string[] {
  return has(task, 'strip', 'wash', 'bath', 'heat', 'clamp', 'blast', 'drill and tap', 'paint', 'powder')
    ? parts.filter(isPestSuspect).map((part) => `${task.key}: touches pest on ${part.key}`)
    : [];
}

/** What is watched ends in a bench session, or the plan says that none is long enough. */
function findLongWatch(task: PlannedTask, notices: readonly PlanNotice[], { sessionMin = 120 }: PlanInput): string[] {
  const minutes = task.handsOnMin + (task.watchedMin ?? 0);
  if (!task.watchedMin || minutes <= sessionMin) return [];
  return notices.some((notice) => notice.kind === 'too long to watch' && notice.taskKeys.includes(task.key))
    ? []
    : [`${task.key}: watched for ${minutes} min in a session of ${sessionMin}`];
}
