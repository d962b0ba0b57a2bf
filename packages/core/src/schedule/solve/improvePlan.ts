import { pickOne, type RandomSource } from '../../numeric/seededRandom.ts';
import { findChains } from './chains.ts';
import { computeCost, measurePlan, type PlanMeasure } from './measurePlan.ts';
import { placeTasks } from './placeTasks.ts';
import { listOrders } from './listOrders.ts';
import { repairPlan } from './repairPlan.ts';
import type { WorkPlan, Workshop } from './workshop.ts';
import { WorkshopLines } from './workshopLines.ts';

export interface PlanStep {
  readonly round: number;
  readonly rounds: number;
  readonly best: FoundPlan;
}

export interface FoundPlan extends WorkPlan, PlanMeasure {}

/** Of a search that nobody ends. */
export const USUAL_ROUNDS = 800;

/** Jobs that are taken out at once. */
const MOST_OUT = 8;
/** A plan may cost so much more than the present one at the beginning, and less and less of that (threshold accepting, Dueck 1990). */
const HEAT = 0.05;

/**
 * Plans all tasks. Anytime: each step yields the best so far, and may be the last. Null where some task has no place at all.
 *
 * The first plan is the best of a few orders (listOrders), or the present one, mended, where there is one and it is better. Then some jobs are taken out (a late one, and others that end about when
 * it does) and placed anew in another order (large neighbourhood search, Shaw 1998).
 */
export function* improvePlan(
  workshop: Workshop,
  random: RandomSource,
  rounds: number,
  present: WorkPlan | null = null,
): Generator<PlanStep, FoundPlan | null, undefined> {
  const chains = findChains(workshop);
  const lines = new WorkshopLines(workshop);
  const tasksOf = workshop.jobs.map((_, job) => workshop.tasks.flatMap((task, i) => (task.job === job ? [i] : [])));
  const measure = (): FoundPlan => ({
    ...measurePlan(workshop, lines),
    starts: lines.starts.slice(),
    who: lines.who.slice(),
  });
  const ways = listOrders(workshop, chains).flatMap((order) =>
    START_PATIENCE.map((patienceMin) => ({ order, patienceMin })),
  );
  const starts = ways.flatMap(({ order, patienceMin }) => {
    const empty = new WorkshopLines(workshop);
    empty.patienceMin = patienceMin;
    return placeTasks(empty, chains, order) === null
      ? [{ before: empty.keep(), cost: computeCost(measurePlan(workshop, empty)) }]
      : [];
  });
  const mended = present && repairPlan(workshop, chains, present);
  if (mended) starts.push({ before: mended.keep(), cost: computeCost(measurePlan(workshop, mended)) });
  const start = starts.sort((a, b) => a.cost - b.cost)[0];
  if (!start) return null;
  lines.restore(start.before);
  let best = measure();
  let now = { found: best, cost: start.cost };
  let least = now.cost;
  for (let round = 0; round < rounds && workshop.jobs.length > 0; round++) {
    const before = lines.keep();
    lines.patienceMin = pickOne(PATIENCE, random);
    const out = takeOut(lines, tasksOf, pickJobs(workshop, now.found, random));
    const stuck = placeTasks(
      lines,
      chains,
      arrange(workshop, out, random).flatMap((job) => shuffleSome(tasksOf[job]!, random)),
    );
    const found = stuck === null ? measure() : null;
    const cost = found ? computeCost(found) : Infinity;
    if (found && cost <= now.cost * (1 + HEAT * (1 - round / rounds) * random())) now = { found, cost };
    else lines.restore(before);
    if (now.cost < least) [best, least] = [now.found, now.cost];
    yield { round: round + 1, rounds, best };
  }
  return best;
}

/** A job, more likely one that is late, and some that lie near it in time. */
function pickJobs({ jobs }: Workshop, { finishOfJob }: PlanMeasure, random: RandomSource): number[] {
  const lateOf = (job: number) => jobs[job]!.weight * Math.max(0, finishOfJob[job]! - (jobs[job]!.dueMin ?? Infinity));
  const all = jobs.map((_, job) => job);
  const late = all.filter((job) => lateOf(job) > 0);
  const from = late.length > 0 && random() < 0.8 ? late : all;
  const seed = from[Math.floor(random() * from.length)]!;
  const near = all
    .filter((job) => job !== seed)
    .map((job) => ({ job, away: Math.abs(finishOfJob[job]! - finishOfJob[seed]!) * (0.3 + random()) }))
    .sort((a, b) => a.away - b.away);
  const count = 1 + Math.floor(random() * MOST_OUT);
  return [seed, ...near.slice(0, count - 1).map(({ job }) => job)];
}

/** Takes the tasks of these jobs out, and the jobs of sprays that cannot stay without them. */
function takeOut(lines: WorkshopLines, tasksOf: readonly (readonly number[])[], jobs: readonly number[]): number[] {
  const out = new Set(jobs);
  for (const job of out)
    for (const task of tasksOf[job]!) {
      if (!lines.isPlaced(task)) continue;
      const next = lines.remove(task);
      if (next !== null) out.add(lines.workshop.tasks[next]!.job);
    }
  return [...out];
}

/** By what is due and weighs, more or less by chance. */
function arrange({ jobs }: Workshop, out: readonly number[], random: RandomSource): number[] {
  const noise = pickOne(NOISE, random);
  const byWeight = random() < 0.5;
  const keys = new Map(
    out.map((job) => {
      const { dueMin, weight } = jobs[job]!;
      return [job, ((dueMin ?? 1e6) / (byWeight ? weight : 1)) * (1 + noise * (random() - 0.5))];
    }),
  );
  return [...out].sort((a, b) => keys.get(a)! - keys.get(b)!);
}

/** Now and then some tasks of a job are placed before others; what goes first is placed first all the same. */
function shuffleSome(tasks: readonly number[], random: RandomSource): number[] {
  const most = pickOne(SHUFFLED, random);
  const keys = new Map(tasks.map((task, i) => [task, i + most * random()]));
  return [...tasks].sort((a, b) => keys.get(a)! - keys.get(b)!);
}

/** Places by which a task may move in the order of its job. */
const SHUFFLED = [0, 0, 5, 1000];
const NOISE = [0, 0.5, 1, 4];
/** Minutes that a spray may wait for another one of its colour. */
const PATIENCE = [0, 1440, 2880, 5760];
const START_PATIENCE = [0, 2880];
