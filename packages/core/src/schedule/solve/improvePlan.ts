import type { RandomSource } from '../../numeric/seededRandom.ts';
import { findChains, type Chains } from './chains.ts';
import { searchRules } from './dispatch/searchRules.ts';
import { measureFound, type FoundPlan } from './foundPlan.ts';
import { improveJobs } from './improveJobs.ts';
import { listOrders } from './listOrders.ts';
import { computeCost } from './measurePlan.ts';
import { placeTasks } from './placeTasks.ts';
import { repairPlan } from './repairPlan.ts';
import type { WorkPlan, Workshop } from './workshop.ts';
import { WorkshopLines } from './workshopLines.ts';

export interface PlanStep {
  readonly round: number;
  readonly rounds: number;
  readonly best: FoundPlan;
}

/** Of a search that nobody ends. */
export const USUAL_ROUNDS = 240;
/** Share of the rounds in which whole plans are made by rules; in the others jobs are placed anew. */
const BY_RULES = 0.9;

/**
 * Plans all tasks. Anytime: each step yields the best so far, and may be the last. Null where some task has no place at all.
 *
 * The first plan is the best of a few orders (listOrders), or the present one, mended, where there is one and it is better. Then
 * plans are made by dispatching rules (searchRules), and in the best of all jobs are placed anew (improveJobs).
 */
export function* improvePlan(
  workshop: Workshop,
  random: RandomSource,
  rounds: number,
  present: WorkPlan | null = null,
): Generator<PlanStep, FoundPlan | null, undefined> {
  const chains = findChains(workshop);
  const mended = present && repairPlan(workshop, chains, present);
  const starts = [...(mended ? [mended] : []), ...placeByOrders(workshop, chains)];
  if (starts.length === 0) return null;
  let best = starts.map((lines) => measureFound(workshop, lines)).reduce(cheaper);
  if (workshop.tasks.length === 0) return best;
  let round = 0;
  for (const found of searchRules(workshop, chains, random, Math.round(BY_RULES * rounds))) {
    if (found) best = cheaper(best, found);
    yield { round: ++round, rounds, best };
  }
  const lines = repairPlan(workshop, chains, best);
  if (!lines) return best;
  for (const found of improveJobs(lines, chains, random, rounds - round)) {
    if (found) best = cheaper(best, found);
    yield { round: ++round, rounds, best };
  }
  return best;
}

function placeByOrders(workshop: Workshop, chains: Chains): WorkshopLines[] {
  return listOrders(workshop, chains).flatMap((order) => {
    const lines = new WorkshopLines(workshop);
    return placeTasks(lines, chains, order) === null ? [lines] : [];
  });
}

/** The first of two that cost as much. */
const cheaper = (a: FoundPlan, b: FoundPlan) => (computeCost(b) < computeCost(a) ? b : a);
