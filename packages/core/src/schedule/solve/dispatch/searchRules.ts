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
import { shakeRule, varyRule, type TriedRule } from './varyRule.ts';

/** A rule may cost up to so much more than the best since the search began (record-to-record travel, Dueck 1993). */
const SLACK = 0.02;
/** After so many rounds that were no better the search begins somewhere else. */
const STALE_ROUNDS = 400;

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
  for (let round = 0; round < rounds; round++) {
    const isFirst = round < first.length;
    if (!isFirst && (stale >= STALE_ROUNDS || !now)) [now, least, stale] = [null, Infinity, 0];
    const rule: DispatchRule =
      first[round] ??
      (now
        ? varyRule({ workshop, chains, compiled }, now, random)
        : shakeRule(workshop, pickOne(first, random), random));
    const plan = dispatchPlan(workshop, chains, compiled, rule);
    const found: FoundPlan | null = plan && measureFound(workshop, plan);
    const cost = found ? computeCost(found) : Infinity;
    if (found && cost <= (isFirst ? least : least * (1 + SLACK * random()))) now = { rule, found };
    stale = cost < least ? 0 : stale + 1;
    least = Math.min(least, cost);
    yield found;
  }
}
