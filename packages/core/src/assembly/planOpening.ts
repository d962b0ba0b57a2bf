import { assertKeysKnown } from './assertKeysKnown.ts';
import { InvalidInputError } from '../model/errors.ts';
import { groupTreatments } from './groupTreatments.ts';
import type { OpeningModel, OpeningPlan, PlannedOpening } from './openingModel.ts';
import { computeMaskingPrice, findWay, listNeeds, listUnmaskable, orderOpenings } from './replayOpening.ts';
import { separateParts, type JointTerms } from './separateParts.ts';

export interface PlanLimits {
  /** Asked between two steps of the search: true ends it with the best plan so far. */
  readonly isEnough?: () => boolean;
  /** After so many combinations (separateParts) the best plan so far is taken: the same on every machine. */
  readonly mostWork?: number;
  /** Combinations of one table of the bound; beyond it treatments are taken together. */
  readonly largestTable?: number;
}

/** What is still allowed: the ways of each joint, and whether it may stay closed. */
interface Node {
  readonly ways: readonly (readonly string[])[];
  readonly mayStay: readonly boolean[];
  readonly bound: number;
  readonly open: readonly number[];
  /** False: the bound takes treatments together, and the plan that it chose may cost more. */
  readonly isExact: boolean;
}

const TINY = 1e-9;
/** Less than a second on a small machine. */
const MOST_WORK = 3e6;

/**
 * The cheapest plan that brings apart what needs a different treatment, or masks it at its price: which joints are opened,
 * in which way and order, and which stay closed.
 *
 * Best-first branch and bound (A. H. Land and A. G. Doig, Econometrica 28, 1960). The bound of a node takes every joint at
 * its least allowed price and forgets what lies behind what (separateParts). Where its answer uses a way that cannot be
 * reached, the node splits on that way: used, with all that it needs, or not used. Where the bound had to take treatments
 * together, the node splits on a joint: opened, or closed for good. The first plan that can be replayed at the price of its
 * bound is the best; when the work runs out it is the best that was found, with the bound that was reached.
 *
 * Throws InvalidInputError for keys that the model does not have, and when parts that may neither be masked nor parted, or
 * wishes, make every plan impossible; the parts are named in it.
 */
export function planOpening(
  model: OpeningModel,
  { isEnough = () => false, mostWork = MOST_WORK, largestTable }: PlanLimits = {},
): OpeningPlan {
  assertKeysKnown(model);
  const groupings = groupTreatments(model);
  let work = 0;
  const measure = (ways: Node['ways'], mayStay: readonly boolean[]): Node => {
    const node = createNode(model, ways, mayStay, groupings, largestTable);
    work += node.work;
    return node;
  };
  // Everything open that can be opened: if even that is impossible, all else is.
  let best = repair(model, openAll(model));
  if (!best) throw refuse(model);
  const queue = [
    measure(
      model.joints.map(({ ways, wish }) => (wish === 'closed' ? [] : ways.map((way) => way.key))),
      model.joints.map(({ wish }) => wish !== 'open'),
    ),
  ];
  let lowerBound = Infinity;
  while (queue.length > 0) {
    const node = takeCheapest(queue);
    if (node.bound >= best.price - TINY) break;
    if (work > mostWork || isEnough()) {
      lowerBound = node.bound;
      break;
    }
    const chosen = chooseCheapest(model, node);
    const found = repair(model, chosen);
    if (found && found.price < best.price - TINY) best = found;
    const split = findSplit(model, node, chosen);
    if (split) queue.push(...splitNode(model, node, split).map((child) => measure(child.ways, child.mayStay)));
    else if (!node.isExact) queue.push(...splitOnJoint(model, node).map((child) => measure(child.ways, child.mayStay)));
  }
  const isProven = lowerBound >= best.price - TINY;
  const open = new Set(best.steps.map((step) => step.jointKey));
  return {
    steps: best.steps,
    price: best.price,
    maskingPrice: computeMaskingPrice(model, (key) => open.has(key)),
    lowerBound: isProven ? best.price : lowerBound,
    isProven,
  };
}

/** Every joint that may be opened and can be reached, in the cheapest way that is ready when it is. */
function openAll(model: OpeningModel): PlannedOpening[] {
  const open = new Set<string>();
  const steps: PlannedOpening[] = [];
  for (let before = -1; before !== steps.length;) {
    before = steps.length;
    for (const { key, wish, ways } of model.joints) {
      if (open.has(key) || wish === 'closed') continue;
      const ready = ways.filter((way) => listNeeds(model, way, key).every((need) => open.has(need)));
      if (ready.length === 0) continue;
      open.add(key);
      steps.push({ jointKey: key, wayKey: ready.reduce((a, b) => (b.price < a.price ? b : a)).key });
    }
  }
  return steps;
}

function refuse(model: OpeningModel): InvalidInputError {
  const open = new Set(openAll(model).map(({ jointKey }) => jointKey));
  const stuck = listUnmaskable(model, (key) => open.has(key));
  const closed = model.joints.filter(({ key, wish }) => wish === 'open' && !open.has(key)).map(({ key }) => key);
  return new InvalidInputError(
    'no-plan',
    stuck.length
      ? `These parts can neither be taken apart nor masked: ${stuck.join(', ')}.`
      : `These joints are to be opened and cannot be reached: ${closed.join(', ')}.`,
    'parts',
    { parts: stuck, joints: closed },
  );
}

function createNode(
  model: OpeningModel,
  ways: Node['ways'],
  mayStay: readonly boolean[],
  groupings: ReturnType<typeof groupTreatments>,
  largestTable?: number,
): Node & { readonly work: number } {
  const terms = model.joints.map((joint, j): JointTerms => {
    const prices = ways[j]!.map((key) => joint.ways.find((way) => way.key === key)!.price);
    return { price: Math.min(...prices, Infinity), mustOpen: !mayStay[j], mayOpen: prices.length > 0 };
  });
  const { price, open, isExact, work } = separateParts(model, terms, groupings, largestTable);
  return { ways, mayStay, bound: price, open, isExact, work };
}

function takeCheapest(queue: Node[]): Node {
  let best = 0;
  for (let i = 1; i < queue.length; i++) if (queue[i]!.bound < queue[best]!.bound) best = i;
  return queue.splice(best, 1)[0]!;
}

/** The joints that the bound opens, each in the cheapest way that is still allowed. */
function chooseCheapest(model: OpeningModel, node: Node): PlannedOpening[] {
  return node.open.map((j) => {
    const joint = model.joints[j]!;
    const allowed = joint.ways.filter((way) => node.ways[j]!.includes(way.key));
    const cheapest = allowed.reduce((a, b) => (b.price < a.price ? b : a));
    return { jointKey: joint.key, wayKey: cheapest.key };
  });
}

/** A plan for certain: opens also what stands in the way, each in its cheapest way, ways that deadlock exchanged. */
function repair(model: OpeningModel, chosen: readonly PlannedOpening[]) {
  const wanted = new Set(chosen.map((step) => step.jointKey));
  for (const { key, wish } of model.joints) if (wish === 'open') wanted.add(key);
  const open = new Set<string>();
  const steps: PlannedOpening[] = [];
  const cheapestReady = (jointKey: string) => {
    const joint = model.joints.find((one) => one.key === jointKey)!;
    if (joint.wish === 'closed') return null;
    const ready = joint.ways.filter((way) => listNeeds(model, way, jointKey).every((key) => open.has(key)));
    return ready.length ? ready.reduce((a, b) => (b.price < a.price ? b : a)) : null;
  };
  for (;;) {
    const missing = [...wanted].filter((key) => !open.has(key));
    if (missing.length === 0) break;
    const isWaiting = (jointKey: string, price: number) => {
      const planned = chosen.find((step) => step.jointKey === jointKey);
      return planned !== undefined && findWay(model, jointKey, planned.wayKey).price < price - TINY;
    };
    const ready = missing.flatMap((jointKey) => {
      const way = cheapestReady(jointKey);
      return way ? [{ jointKey, wayKey: way.key, isDear: isWaiting(jointKey, way.price) }] : [];
    });
    const next = ready.find((step) => !step.isDear) ?? ready[0];
    if (next) {
      open.add(next.jointKey);
      steps.push({ jointKey: next.jointKey, wayKey: next.wayKey });
      continue;
    }
    const before = wanted.size;
    for (const jointKey of missing) {
      const joint = model.joints.find((one) => one.key === jointKey)!;
      const way = joint.ways.reduce<(typeof joint.ways)[number] | null>(
        (a, b) => (a && a.price <= b.price ? a : b),
        null,
      );
      if (way) for (const key of listNeeds(model, way, jointKey)) wanted.add(key);
    }
    if (wanted.size === before) return null;
  }
  const price =
    steps.reduce((sum, step) => sum + findWay(model, step.jointKey, step.wayKey).price, 0) +
    computeMaskingPrice(model, (key) => open.has(key));
  return Number.isFinite(price) ? { steps, price } : null;
}

interface Split {
  readonly joint: number;
  readonly wayKey: string;
}

/** A way of the bound's answer that cannot be reached: what it needs stays closed, or it waits in a ring. */
function findSplit(model: OpeningModel, node: Node, chosen: readonly PlannedOpening[]): Split | null {
  const open = new Set(chosen.map((step) => step.jointKey));
  const indexOf = (key: string) => model.joints.findIndex((joint) => joint.key === key);
  const isBlocked = ({ jointKey, wayKey }: PlannedOpening) =>
    listNeeds(model, findWay(model, jointKey, wayKey), jointKey).some((key) => !open.has(key));
  const blocked = chosen.find(isBlocked);
  if (blocked) return { joint: indexOf(blocked.jointKey), wayKey: blocked.wayKey };
  if (orderOpenings(model, chosen)) return null;
  // Everything is open that must be, so some wait for each other: one of the ring must be opened otherwise.
  const ring = selectRing(model, chosen);
  const free = ring.find(({ jointKey }) => {
    const j = indexOf(jointKey);
    return node.mayStay[j] || node.ways[j]!.length > 1;
  });
  return free ? { joint: indexOf(free.jointKey), wayKey: free.wayKey } : null;
}

/** The steps that can never be reached. */
function selectRing(model: OpeningModel, chosen: readonly PlannedOpening[]): PlannedOpening[] {
  const open = new Set<string>();
  let left = [...chosen];
  for (;;) {
    const ready = left.filter(({ jointKey, wayKey }) =>
      listNeeds(model, findWay(model, jointKey, wayKey), jointKey).every((key) => open.has(key)),
    );
    if (ready.length === 0) return left;
    for (const step of ready) open.add(step.jointKey);
    left = left.filter((step) => !open.has(step.jointKey));
  }
}

type Terms = Pick<Node, 'ways' | 'mayStay'>;

/** The way used with all that it needs, or not used. */
function splitNode(model: OpeningModel, node: Node, { joint, wayKey }: Split): Terms[] {
  const { key, ways } = model.joints[joint]!;
  const needs = new Set(
    listNeeds(
      model,
      ways.find((way) => way.key === wayKey)!,
      key,
    ),
  );
  return [
    {
      ways: node.ways.map((list, j) => (j === joint ? [wayKey] : list)),
      mayStay: node.mayStay.map((may, j) => may && j !== joint && !needs.has(model.joints[j]!.key)),
    },
    {
      ways: node.ways.map((list, j) => (j === joint ? list.filter((one) => one !== wayKey) : list)),
      mayStay: node.mayStay,
    },
  ];
}

/**
 * A joint whose fate is not sealed, opened or closed for good: of those that the bound leaves closed the one that brings most
 * treatments together, which is where it takes too little for masking.
 */
function splitOnJoint({ parts, joints }: OpeningModel, node: Node): Terms[] {
  const open = new Set(node.open);
  const treatmentOf = new Map(parts.map(({ key, treatment }) => [key, treatment]));
  const meetings = (j: number) => new Set(joints[j]!.partKeys.map((key) => treatmentOf.get(key))).size;
  const free = joints.flatMap((_, j) => (node.mayStay[j] && node.ways[j]!.length > 0 ? [j] : []));
  if (free.length === 0) return [];
  const joint = free.reduce((a, b) => (rankOf(b) > rankOf(a) ? b : a));
  return [
    { ways: node.ways, mayStay: node.mayStay.map((may, j) => may && j !== joint) },
    { ways: node.ways.map((list, j) => (j === joint ? [] : list)), mayStay: node.mayStay },
  ];

  function rankOf(j: number): number {
    return meetings(j) + (open.has(j) ? 0 : 100);
  }
}
