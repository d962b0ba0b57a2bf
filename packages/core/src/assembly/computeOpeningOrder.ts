import { InvalidInputError } from '../model/errors.ts';
import type { JointWay } from '../model/catalogue.ts';

export interface OpeningJoint {
  readonly key: string;
  readonly label: string;
  readonly ways: readonly JointWay[];
}

export interface OpeningStep {
  readonly jointKey: string;
  readonly way: JointWay;
}

export type OpeningOrder =
  | {
      readonly kind: 'order';
      readonly steps: readonly OpeningStep[];
      readonly minutes: number;
      readonly expectedRisk: number;
      readonly cost: number;
    }
  | { readonly kind: 'stuck'; readonly jointKeys: readonly string[]; readonly because: string };

/** Largest model that is searched exactly. */
export const MAX_EXACT_JOINTS = 24;

/** What one certain damage is worth in minutes (planning estimate). */
export const RISK_WEIGHT_MIN = 60;

/**
 * The cheapest way to open every target joint: which other joints must be opened to get at them, each in which way, in an
 * order that is always accessible. Cost = minutes + riskWeightMin * chance of damage, summed over the steps.
 *
 * Exact: uniform-cost search over sets of opened joints; among equal costs the steps with the earlier joint keys win.
 * No targets give an empty order. When the targets lie behind each other, "stuck" names the joints of that ring.
 * Throws InvalidInputError for an unknown joint key or more than 24 joints that matter.
 */
export function computeOpeningOrder(
  joints: readonly OpeningJoint[],
  targetKeys: readonly string[],
  riskWeightMin: number = RISK_WEIGHT_MIN,
): OpeningOrder {
  const relevant = selectRelevant(joints, targetKeys);
  if (relevant.length > MAX_EXACT_JOINTS) {
    throw new InvalidInputError(
      'too-many-joints',
      `At most ${MAX_EXACT_JOINTS} joints can be ordered at once.`,
      'joints',
      { count: relevant.length },
    );
  }
  const bit = new Map(relevant.map((joint, i) => [joint.key, 1 << i]));
  const goal = targetKeys.reduce((mask, key) => mask | bit.get(key)!, 0);
  const ways = relevant.map((joint) =>
    joint.ways.map((way) => ({
      way,
      cost: way.minutes + riskWeightMin * way.risk,
      needs: way.behindJoints.reduce((mask, key) => mask | bit.get(key)!, 0),
    })),
  );

  const best = new Map<number, { cost: number; from: number; step: OpeningStep | null }>([
    [0, { cost: 0, from: 0, step: null }],
  ]);
  const open = new Set([0]);
  const closed = new Set<number>();
  while (open.size > 0) {
    const mask = takeCheapest(open, best);
    closed.add(mask);
    const cost = best.get(mask)!.cost;
    if ((mask & goal) === goal) return createOrder(mask, best);
    relevant.forEach((joint, i) => {
      if (mask & (1 << i)) return;
      for (const { way, cost: stepCost, needs } of ways[i]!) {
        if ((needs & mask) !== needs) continue;
        const next = mask | (1 << i);
        const known = best.get(next);
        if (closed.has(next) || (known && known.cost <= cost + stepCost)) continue;
        best.set(next, { cost: cost + stepCost, from: mask, step: { jointKey: joint.key, way } });
        open.add(next);
      }
    });
  }
  const reachable = [...closed].reduce((mask, other) => mask | other, 0);
  const stuck = relevant.filter((_, i) => !(reachable & (1 << i)));
  return {
    kind: 'stuck',
    jointKeys: stuck.map((joint) => joint.key),
    because: `${stuck.map((joint) => joint.label).join(' lies behind ')}: each must be open before the other.`,
  };
}

/** The targets and every joint that one of their ways, or of those in turn, lies behind. */
function selectRelevant(joints: readonly OpeningJoint[], targetKeys: readonly string[]): OpeningJoint[] {
  const byKey = new Map(joints.map((joint) => [joint.key, joint]));
  const wanted = new Set<string>();
  const queue = [...targetKeys];
  for (let key = queue.pop(); key !== undefined; key = queue.pop()) {
    if (wanted.has(key)) continue;
    const joint = byKey.get(key);
    if (!joint)
      throw new InvalidInputError('unknown-joint', 'This joint is not on the casting.', 'joints', { given: key });
    wanted.add(key);
    for (const way of joint.ways) queue.push(...way.behindJoints);
  }
  return joints.filter((joint) => wanted.has(joint.key)).sort((a, b) => a.key.localeCompare(b.key));
}

function takeCheapest(open: Set<number>, best: ReadonlyMap<number, { cost: number }>): number {
  let cheapest = -1;
  for (const mask of open) if (cheapest < 0 || best.get(mask)!.cost < best.get(cheapest)!.cost) cheapest = mask;
  open.delete(cheapest);
  return cheapest;
}

function createOrder(
  mask: number,
  best: ReadonlyMap<number, { cost: number; from: number; step: OpeningStep | null }>,
): OpeningOrder {
  const steps: OpeningStep[] = [];
  for (let at = best.get(mask)!; at.step; at = best.get(at.from)!) steps.unshift(at.step);
  return {
    kind: 'order',
    steps,
    minutes: steps.reduce((sum, step) => sum + step.way.minutes, 0),
    expectedRisk: steps.reduce((sum, step) => sum + step.way.risk, 0),
    cost: best.get(mask)!.cost,
  };
}
