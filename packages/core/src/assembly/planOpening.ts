import { InvalidInputError } from '../model/errors.ts';
import type { OpeningModel, OpeningPlan, PlannedOpening } from './openingModel.ts';
import { computeMaskingPrice, findWay, listNeeds, orderOpenings } from './replayOpening.ts';
import { separateParts, type JointTerms } from './separateParts.ts';

export interface PlanLimits {
  /** Asked between two steps of the search: true ends it with the best plan so far. */
  readonly isEnough?: () => boolean;
}

/** What is still allowed: the ways of each joint, and whether it may stay closed. */
interface Node {
  readonly ways: readonly (readonly string[])[];
  readonly mayStay: readonly boolean[];
  readonly bound: number;
  readonly open: readonly number[];
}

const TINY = 1e-9;

/**
 * The cheapest plan that brings apart what needs a different treatment, or masks it at its price: which joints are opened,
 * in which way and order, and which stay closed.
 *
 * Best-first branch and bound (A. H. Land and A. G. Doig, Econometrica 28, 1960). The bound of a node takes every joint at
 * its least allowed price and forgets what lies behind what (separateParts). Where its answer uses a way that cannot be
 * reached, the node splits on that way: used, with all that it needs, or not used. The first plan that can be replayed at
 * the price of its bound is the best.
 *
 * Throws InvalidInputError when parts that may neither be masked nor parted, or wishes, make every plan impossible.
 */
export function planOpening(model: OpeningModel, { isEnough = () => false }: PlanLimits = {}): OpeningPlan {
  const root = createNode(
    model,
    model.joints.map(({ ways, wish }) => (wish === 'closed' ? [] : ways.map((way) => way.key))),
    model.joints.map(({ wish }) => wish !== 'open'),
  );
  const queue = [root];
  let best: { steps: PlannedOpening[]; price: number } | null = null;
  let lowerBound = Infinity;
  while (queue.length > 0) {
    const node = takeCheapest(queue);
    if (node.bound === Infinity || (best && node.bound >= best.price - TINY)) break;
    if (best && isEnough()) {
      lowerBound = node.bound;
      break;
    }
    const chosen = chooseCheapest(model, node);
    const found = repair(model, chosen);
    if (found && (!best || found.price < best.price - TINY)) best = found;
    const split = findSplit(model, node, chosen);
    if (!split) continue;
    queue.push(...splitNode(model, node, split));
  }
  if (!best) throw new InvalidInputError('no-plan', 'These parts can neither be taken apart nor masked.', 'parts', {});
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

function createNode(model: OpeningModel, ways: Node['ways'], mayStay: readonly boolean[]): Node {
  const terms = model.joints.map((joint, j): JointTerms => {
    const prices = ways[j]!.map((key) => joint.ways.find((way) => way.key === key)!.price);
    return { price: Math.min(...prices, Infinity), mustOpen: !mayStay[j], mayOpen: prices.length > 0 };
  });
  const { price, open } = separateParts(model, terms);
  return { ways, mayStay, bound: price, open };
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

/** The way used with all that it needs, or not used. */
function splitNode(model: OpeningModel, node: Node, { joint, wayKey }: Split): Node[] {
  const { key, ways } = model.joints[joint]!;
  const needs = new Set(
    listNeeds(
      model,
      ways.find((way) => way.key === wayKey)!,
      key,
    ),
  );
  const used = createNode(
    model,
    node.ways.map((list, j) => (j === joint ? [wayKey] : list)),
    node.mayStay.map((may, j) => may && j !== joint && !needs.has(model.joints[j]!.key)),
  );
  const unused = createNode(
    model,
    node.ways.map((list, j) => (j === joint ? list.filter((one) => one !== wayKey) : list)),
    node.mayStay,
  );
  return [used, unused].filter((child) => child.bound < Infinity);
}
