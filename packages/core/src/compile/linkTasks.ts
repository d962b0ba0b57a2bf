import type { TaskLink } from '../model/task.ts';
import type { TaskTag } from '../model/taskTags.ts';
import { STATIONS } from '../model/stations.ts';
import {
  addAll,
  clearBit,
  createBitSet,
  hasBit,
  intersect,
  isEmpty,
  listBits,
  setBit,
  type BitSet,
} from '../numeric/bitSet.ts';
import { createOwnLinks } from './ownLinks.ts';
import { isInForce, ORDER_RULES, type OrderRule } from './orderRules.ts';
import type { PlanInput, TaskDraft } from './planTypes.ts';

/** What waits for what, by the places of the tasks. */
export interface TaskNet {
  /** For each task all that must be done before it. */
  readonly before: readonly BitSet[];
  /** For each task those that leave something wet, soft or soaking which it would touch. */
  readonly waitsFor: readonly BitSet[];
  /** For each task those after which it must not come too late. */
  readonly soonAfter: readonly BitSet[];
  /** Why the second task waits for the first, and how long: the first rule that asks for it. */
  readonly explain: (before: number, after: number) => TaskLink;
}

/**
 * Every link between the tasks: order rules in force, access behind joints, masks and colours, and a part's way along the
 * bench. Reasons are looked up only for the links that are shown.
 */
export function linkTasks(tasks: readonly TaskDraft[], keys: readonly string[], input: PlanInput): TaskNet {
  const index = indexTasks(tasks);
  const before = tasks.map(() => createBitSet(tasks.length));
  const soonAfter = tasks.map(() => createBitSet(tasks.length));
  const rules = ORDER_RULES.filter((rule) => isInForce(rule, input.decisions))
    .map((rule) => ({ ...rule, earlier: index.withTags(rule.before), later: index.withTags(rule.after) }))
    .filter((rule) => !isEmpty(rule.earlier));
  /** For each task the rules that may make it wait. */
  const bound: (typeof rules)[number][][] = tasks.map(() => []);
  for (const rule of rules)
    for (const place of listBits(rule.later)) {
      bound[place]!.push(rule);
      const scope = index.inScope(rule.scope, place);
      addAll(before[place]!, rule.earlier, scope);
      if (rule.latestMin !== undefined) addAll(soonAfter[place]!, rule.earlier, scope);
    }
  const own = new Map<number, Pick<TaskLink, 'rule' | 'because'>>();
  for (const { before: first, after, rule, because } of createOwnLinks(tasks, input, index.withTags)) {
    const id = first * tasks.length + after;
    if (first === after || own.has(id)) continue;
    own.set(id, { rule, because });
    setBit(before[after]!, first);
  }
  tasks.forEach((task, place) => {
    const { all, hands } = index.ofStationsBefore(task);
    if (task.tags.includes('sign off')) addAll(before[place]!, all);
    // Paint is for several parts: one that is held up must not hold up the others.
    if (!isHandsOff(task)) addAll(before[place]!, hands, index.inScope('part', place));
    clearBit(before[place]!, place);
  });
  const waitsFor = tasks.map((task, place) => index.wetFor(task, place));
  return { before, waitsFor, soonAfter, explain };

  function explain(first: number, after: number): TaskLink {
    const waitMin = hasBit(waitsFor[after]!, first) ? (tasks[first]!.passiveMin ?? 0) : 0;
    let latestMin: number | null = null;
    let found: Pick<TaskLink, 'rule' | 'because'> | undefined;
    for (const rule of bound[after]!) {
      // The first one that asks for it says why; a later one may still say how soon.
      if (found && rule.latestMin === undefined) continue;
      if (!hasBit(rule.earlier, first) || !hasBit(index.inScope(rule.scope, after), first)) continue;
      found ??= { rule: rule.id, because: rule.because };
      if (rule.latestMin !== undefined) latestMin = Math.min(latestMin ?? Infinity, rule.latestMin);
    }
    const { rule, because } = found ?? own.get(first * tasks.length + after) ?? explainBench(first, after, waitMin);
    return { key: keys[first]!, rule, because, waitMin, latestMin };
  }

  function explainBench(first: number, after: number, waitMin: number): Pick<TaskLink, 'rule' | 'because'> {
    if (waitMin > 0 && !hasBit(before[after]!, first))
      return { rule: 'bench', because: 'what was done there must dry, set or soak first' };
    return tasks[after]!.tags.includes('sign off')
      ? { rule: 'bench', because: 'a record is signed when the work is done' }
      : { rule: 'bench', because: 'the part passes the stations in order' };
  }
}

/** These do not touch the part: paint is stirred, a gun cleaned, a parcel taken in while it dries. */
const HANDS_OFF: readonly TaskTag[] = [
  'mix paint',
  'gun ready',
  'gun rinsed',
  'gun cleaned',
  'draw',
  'made here',
  'receive',
];
const isHandsOff = ({ tags }: Pick<TaskDraft, 'tags'>): boolean => tags.some((tag) => HANDS_OFF.includes(tag));

/** Where tasks stand by tag, part, joint, area and station. */
function indexTasks(tasks: readonly TaskDraft[]) {
  const none = createBitSet(tasks.length);
  const all = createBitSet(tasks.length);
  const byTag = new Map<string, BitSet>();
  const byPart = new Map<string, BitSet>();
  const byJoint = new Map<string, BitSet>();
  const byArea = new Map<string, BitSet>();
  const passive = createBitSet(tasks.length);
  const ofWholeModel = createBitSet(tasks.length);
  // What comes by post holds up its own fitting, not the work on the part that is here.
  const earlier = STATIONS.map(() => ({ all: createBitSet(tasks.length), hands: createBitSet(tasks.length) }));
  for (let place = 0; place < tasks.length; place++) {
    const { tags, partKeys, of, station, passiveMin } = tasks[place]!;
    setBit(all, place);
    if (passiveMin) setBit(passive, place);
    if (passiveMin && partKeys.length === 0) setBit(ofWholeModel, place);
    for (const tag of tags) put(byTag, tag, place, tasks.length);
    for (const key of partKeys) put(byPart, key, place, tasks.length);
    if (of?.jointKey !== undefined) put(byJoint, of.jointKey, place, tasks.length);
    put(byArea, of?.area ?? '', place, tasks.length);
    for (let rank = STATIONS.indexOf(station) + 1; rank < STATIONS.length; rank++) {
      setBit(earlier[rank]!.all, place);
      if (!isHandsOff(tasks[place]!)) setBit(earlier[rank]!.hands, place);
    }
  }
  const ofParts = tasks.map(({ partKeys }) => join(partKeys, byPart, none));
  // Made when a rule asks: the same for all of them.
  const ofAreas: BitSet[] = [];
  return {
    withTags: (tags: readonly TaskTag[]): BitSet => join(tags, byTag, none),
    /** The tasks that a rule of this scope may bind to a task. */
    inScope: (scope: OrderRule['scope'], place: number): BitSet => {
      if (scope === 'specimen') return all;
      if (scope === 'part') return ofParts[place]!;
      const { of } = tasks[place]!;
      if (scope === 'joint') return of?.jointKey === undefined ? none : byJoint.get(of.jointKey)!;
      return (ofAreas[place] ??= intersect(ofParts[place]!, byArea.get(of?.area ?? '')!));
    },
    ofStationsBefore: (task: TaskDraft) => earlier[STATIONS.indexOf(task.station)]!,
    /** What is left to dry, set or soak and would be touched by this task: on its parts, or anywhere for the whole model. */
    wetFor: ({ tags, partKeys }: TaskDraft, place: number): BitSet => {
      if (isHandsOff({ tags })) return none;
      if (partKeys.length === 0) return passive;
      const bits = ofWholeModel.slice();
      addAll(bits, passive, ofParts[place]!);
      return bits;
    },
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
