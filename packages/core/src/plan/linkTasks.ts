import type { TaskLink, TaskTag } from '../model/work.ts';
import { STATIONS } from '../model/stations.ts';
import { ORDER_RULES, type OrderRule } from './orderRules.ts';
import type { PlanInput, TaskDraft } from './planTypes.ts';
import { chooseOption } from './schools.ts';

/** Why one task waits for another, by the keys of both. */
export type Links = ReadonlyMap<string, readonly TaskLink[]>;

/** Every link between the tasks: order rules in force, access behind joints, and a part's way along the bench. */
export function linkTasks(tasks: readonly TaskDraft[], input: PlanInput): Map<string, TaskLink[]> {
  // The first rule that asks for a pair gives its reason.
  const found = new Map<string, Map<string, TaskLink>>(tasks.map((task) => [task.key, new Map()]));
  const add = (before: TaskDraft, after: TaskDraft, rule: string, because: string) => {
    const own = found.get(after.key)!;
    if (before.key !== after.key && !own.has(before.key)) own.set(before.key, { key: before.key, rule, because });
  };
  const tagged = indexByTag(tasks);
  for (const rule of ORDER_RULES.filter((candidate) => isInForce(candidate, input.decisions))) {
    const earlier = tagged(rule.before);
    const later = tagged(rule.after);
    for (const before of earlier)
      for (const after of later) if (isInScope(rule, before, after)) add(before, after, rule.id, rule.because);
  }
  for (const joint of input.opening) {
    const own = tasks.filter((task) => task.jointKey === joint.key && task.station === 'open');
    for (const behindKey of joint.way.behindJoints) {
      const behind = tasks.find((task) => task.key === `open:${behindKey}`);
      const label = input.opening.find((other) => other.key === behindKey)?.label ?? behindKey;
      if (behind) for (const after of own) add(behind, after, 'access', `it lies behind ${label}`);
    }
  }
  addMaskOrder(tasks, add);
  addClosingOrder(tasks, input, add);
  addBenchOrder(tasks, add);
  return new Map([...found].map(([key, own]) => [key, [...own.values()]]));
}

/** A mask lies on a part's own finished coats (the first part it names) before anything else near it is painted. */
function addMaskOrder(
  tasks: readonly TaskDraft[],
  add: (b: TaskDraft, a: TaskDraft, rule: string, because: string) => void,
): void {
  for (const mask of tasks.filter((task) => task.tags.includes('mask'))) {
    const [covered, ...beside] = mask.partKeys;
    const isPaint = (task: TaskDraft) => task.tags.includes('paint');
    const own = tasks.filter((task) => isPaint(task) && task.partKeys.includes(covered!));
    for (const before of own) add(before, mask, 'O23', 'tape holds on a dry coat only');
    for (const after of tasks.filter((task) => isPaint(task) && task.partKeys.some((key) => beside.includes(key))))
      // Primer goes on everything that is painted, whatever its colour.
      if (own.length === 0 || !after.tags.includes('prime'))
        add(mask, after, 'O23', 'paint reaches what is not covered');
  }
}

/** What was opened first is closed last; a joint closes when the parts that go inside it are in. */
function addClosingOrder(
  tasks: readonly TaskDraft[],
  input: PlanInput,
  add: (b: TaskDraft, a: TaskDraft, rule: string, because: string) => void,
): void {
  const fits = tasks.filter((task) => task.tags.includes('fit part'));
  for (const joint of input.opening) {
    const closing = tasks.find((task) => task.key === `close:${joint.key}`);
    if (!closing) continue;
    for (const fit of fits)
      if (fit.partKeys.some((key) => joint.partKeys.includes(key)))
        add(fit, closing, 'access', 'the part is held by this joint');
    for (const behindKey of joint.way.behindJoints) {
      const outer = tasks.find((task) => task.key === `close:${behindKey}`);
      if (outer) add(closing, outer, 'access', `${joint.label} cannot be reached once that is closed`);
    }
  }
  const check = tasks.find((task) => task.key === 'check-motion');
  if (check)
    for (const task of tasks)
      if (task.tags.includes('close joint')) add(task, check, 'bench', 'motion is tried when everything is closed');
}

/** A part passes the stations in order; the signing off comes after everything. */
function addBenchOrder(
  tasks: readonly TaskDraft[],
  add: (b: TaskDraft, a: TaskDraft, rule: string, because: string) => void,
): void {
  const rank = (task: TaskDraft) => STATIONS.indexOf(task.station);
  for (const after of tasks.filter((task) => task.tags.includes('sign off')))
    for (const before of tasks)
      if (rank(before) < rank(after)) add(before, after, 'bench', 'a record is signed when the work is done');
  for (const partKey of new Set(tasks.flatMap((task) => task.partKeys))) {
    const own = tasks.filter((task) => task.partKeys.includes(partKey));
    for (const before of own)
      for (const after of own)
        if (rank(before) < rank(after)) add(before, after, 'bench', 'the part passes the stations in order');
  }
}

/** The tasks that bear one of several tags, in plan order. */
function indexByTag(tasks: readonly TaskDraft[]): (tags: readonly TaskTag[]) => TaskDraft[] {
  const places = new Map<TaskTag, number[]>();
  tasks.forEach((task, i) => {
    for (const tag of task.tags) places.set(tag, [...(places.get(tag) ?? []), i]);
  });
  return (tags) => {
    const own = new Set(tags.flatMap((tag) => places.get(tag) ?? []));
    return [...own].sort((a, b) => a - b).map((i) => tasks[i]!);
  };
}

function isInForce(rule: OrderRule, decisions: Readonly<Record<string, string>>): boolean {
  if (rule.safety) return true;
  if (rule.onlyWith && chooseOption(rule.onlyWith.school, decisions) !== rule.onlyWith.option) return false;
  return !(rule.notWith && chooseOption(rule.notWith.school, decisions) === rule.notWith.option);
}

function isInScope(rule: OrderRule, before: TaskDraft, after: TaskDraft): boolean {
  if (rule.scope === 'specimen') return true;
  if (rule.scope === 'joint') return before.jointKey !== undefined && before.jointKey === after.jointKey;
  return before.partKeys.some((key) => after.partKeys.includes(key));
}
