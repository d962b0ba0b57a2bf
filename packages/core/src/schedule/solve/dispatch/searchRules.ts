import { pickOne, type RandomSource } from '../../../numeric/seededRandom.ts';
import type { Chains } from '../chains.ts';
import { computeTails } from '../computeTails.ts';
import { measureFound, type FoundPlan } from '../foundPlan.ts';
import { computeCost } from '../measurePlan.ts';
import type { Workshop } from '../workshop.ts';
import { compileTasks } from './compileTasks.ts';
import { dispatchPlan } from './dispatchPlan.ts';
import type { DispatchRule } from './dispatchRule.ts';
import { listFirstRules } from './firstRules.ts';
import { mixRules, shakeRule, varyRule, type TriedRule } from './varyRule.ts';

/** A rule may cost up to so much more than the best since the search began (record-to-record travel, Dueck 1993). */
const SLACK = 0.02;
/** After so many rounds that were no better the search begins somewhere else. */
const STALE_ROUNDS = 400;
/** So many of the best places where it ended are kept; of the beginnings half are a mix of two of them (path relinking, Glover 1997). */
const KEPT = 6;
const MIXED = 0.5;

/**
 * Plans by dispatching rules, one each round: first by all the usual ones, then by the best of them with promises and choices varied
 * by chance. The search is over what the rule sees (problem space search, Storer 1992); every plan keeps all rules of the workshop.
 * Yields each round's plan, null where the rule leads to none.
 */
export function* searchRules(
  workshop: Workshop,
  chains: Chains,
  random: RandomSource,
  rounds: number,
): Generator<FoundPlan | null, void, undefined> {
  const compiled = compileTasks(workshop, chains, computeTails(workshop, chains));
  const first = listFirstRules(workshop);
  let now: TriedRule | null = null;
  let [least, stale] = [Infinity, 0];
  let here: TriedRule | null = null;
  let kept: readonly TriedRule[] = [];
  const beginAnew = () =>
    kept.length > 1 && random() < MIXED
      ? mixRules(workshop, pickOne(kept, random).rule, pickOne(kept, random).rule, random)
      : shakeRule(workshop, pickOne(first, random), random);
  for (let round = 0; round < rounds; round++) {
    const isFirst = round < first.length;
    if (!isFirst && (stale >= STALE_ROUNDS || !now)) {
      if (here) kept = keepBest([...kept, here]);
      [now, here, least, stale] = [null, null, Infinity, 0];
    }
    const rule: DispatchRule =
      first[round] ?? (now ? varyRule({ workshop, chains, compiled }, now, random) : beginAnew());
    const plan = dispatchPlan(workshop, chains, compiled, rule);
    const found: FoundPlan | null = plan && measureFound(workshop, plan);
    const cost = found ? computeCost(found) : Infinity;
    if (found && cost <= (isFirst ? least : least * (1 + SLACK * random()))) now = { rule, found };
    if (found && cost < least) here = { rule, found };
    stale = cost < least ? 0 : stale + 1;
    least = Math.min(least, cost);
    yield found;
  }
}

const keepBest = (tried: readonly TriedRule[]): readonly TriedRule[] =>
  [...tried].sort((a, b) => computeCost(a.found) - computeCost(b.found)).slice(0, KEPT);
