import type { TaskLink, TaskTag } from '../model/work.ts';
import { STATIONS } from '../model/stations.ts';
import { addAll, clearBit, createBitSet, hasBit, listBits, setBit, type BitSet } from '../numeric/bitSet.ts';
import { createOwnLinks } from './ownLinks.ts';
import { ORDER_RULES, type OrderRule } from './orderRules.ts';
import type { PlanInput, TaskDraft } from './planTypes.ts';
import { chooseOption } from '../schools/schools.ts';

/** What waits for what, by the places of the tasks. */
export interface TaskNet {
  /** For each task all that must be done before it. */
  readonly before: readonly BitSet[];
  /** Why the second task waits for the first: the first rule that asks for it. */
  readonly explain: (before: number, after: number) => TaskLink;
}

/**
 * Every link between the tasks: order rules in force, access behind joints, masks and colours, and a part's way along the
 * bench. Reasons are looked up only for the links that are shown.
 */
export function linkTasks(tasks: readonly TaskDraft[], input: PlanInput): TaskNet {
  const index = indexTasks(tasks);
  const before = tasks.map(() => createBitSet(tasks.length));
  const rules = ORDER_RULES.filter((rule) => isInForce(rule, input.decisions)).map((rule) => ({
    ...rule,
    earlier: index.withTags(rule.before),
    later: index.withTags(rule.after),
  }));
  /** For each task the rules that may make it wait. */
  const bound: (typeof rules)[number][][] = tasks.map(() => []);
  for (const rule of rules)
    for (const place of listBits(rule.later)) {
      bound[place]!.push(rule);
      addAll(before[place]!, rule.earlier, index.inScope(rule.scope, place));
    }
  const own = new Map<number, TaskLink>();
  for (const { before: first, after, rule, because } of createOwnLinks(tasks, input, index.withTags)) {
    const id = first * tasks.length + after;
    if (first === after || own.has(id)) continue;
    own.set(id, { key: tasks[first]!.key, rule, because });
    setBit(before[after]!, first);
  }
  tasks.forEach((task, place) => {
    const { all, hands } = index.ofStationsBefore(task);
    if (task.tags.includes('sign off')) addAll(before[place]!, all);
    addAll(before[place]!, hands, index.inScope('part', place));
    clearBit(before[place]!, place);
  });
  return { before, explain };

  function explain(first: number, after: number): TaskLink {
    const { key } = tasks[first]!;
    for (const { earlier, scope, id, because } of bound[after]!)
      if (hasBit(earlier, first) && hasBit(index.inScope(scope, after), first)) return { key, rule: id, because };
    const because = tasks[after]!.tags.includes('sign off')
      ? 'a record is signed when the work is done'
      : 'the part passes the stations in order';
    return own.get(first * tasks.length + after) ?? { key, rule: 'bench', because };
  }
}

function isInForce(rule: OrderRule, decisions: Readonly<Record<string, string>>): boolean {
  if (rule.safety) return true;
  if (rule.onlyWith && chooseOption(rule.onlyWith.school, decisions) !== rule.onlyWith.option) return false;
  return !(rule.notWith && chooseOption(rule.notWith.school, decisions) === rule.notWith.option);
}

/** Where tasks stand by tag, part, joint, area and station. */
function indexTasks(tasks: readonly TaskDraft[]) {
  const none = createBitSet(tasks.length);
  const all = createBitSet(tasks.length);
  const byTag = new Map<string, BitSet>();
  const byPart = new Map<string, BitSet>();
  const byJoint = new Map<string, BitSet>();
  const byArea = new Map<string, BitSet>();
  // What comes by post holds up its own fitting (O2), not the work on the part that is here.
  const earlier = STATIONS.map(() => ({ all: createBitSet(tasks.length), hands: createBitSet(tasks.length) }));
  for (let place = 0; place < tasks.length; place++) {
    const { tags, partKeys, jointKey, area, station } = tasks[place]!;
    setBit(all, place);
    for (const tag of tags) put(byTag, tag, place, tasks.length);
    for (const key of partKeys) put(byPart, key, place, tasks.length);
    if (jointKey !== undefined) put(byJoint, jointKey, place, tasks.length);
    put(byArea, area ?? '', place, tasks.length);
    for (let rank = STATIONS.indexOf(station) + 1; rank < STATIONS.length; rank++) {
      setBit(earlier[rank]!.all, place);
      if (!tags.includes('receive')) setBit(earlier[rank]!.hands, place);
    }
  }
  const ofParts = tasks.map(({ partKeys }) => join(partKeys, byPart, none));
  return {
    withTags: (tags: readonly TaskTag[]): BitSet => join(tags, byTag, none),
    /** The tasks that a rule of this scope may bind to a task. */
    inScope: (scope: OrderRule['scope'], place: number): BitSet => {
      if (scope === 'specimen') return all;
      if (scope === 'part') return ofParts[place]!;
      const { jointKey, area } = tasks[place]!;
      if (scope === 'joint') return jointKey === undefined ? none : byJoint.get(jointKey)!;
      const bits = createBitSet(tasks.length);
      addAll(bits, ofParts[place]!, byArea.get(area ?? '')!);
      return bits;
    },
    ofStationsBefore: (task: TaskDraft) => earlier[STATIONS.indexOf(task.station)]!,
  };
}

function put(sets: Map<string, BitSet>, name: string, place: number, size: number): void {
  let bits = sets.get(name);
  if (!bits) sets.set(name, (bits = createBitSet(size)));
  setBit(bits, place);
}

function join(names: readonly string[], sets: ReadonlyMap<string, BitSet>, none: BitSet): BitSet {
  if (names.length === 1) return sets.get(names[0]!) ?? none;
  const bits = none.slice();
  for (const name of names) {
    const more = sets.get(name);
    if (more) addAll(bits, more);
  }
  return bits;
}
