import { pickOne, type RandomSource } from '../../numeric/seededRandom.ts';
import type { Chains } from './chains.ts';
import { measureFound, type FoundPlan } from './foundPlan.ts';
import { computeCost, type PlanMeasure } from './measurePlan.ts';
import { placeTasks } from './placeTasks.ts';
import type { Workshop } from './workshop.ts';
import type { WorkshopLines } from './workshopLines.ts';

/** Jobs that are taken out at once. */
const MOST_OUT = 8;
/** A plan may cost so much more than the best at the beginning, and less and less of that (record-to-record travel, Dueck 1993). */
const SLACK = 0.02;

/**
 * Takes some jobs out of a plan (a late one, and others that end about when it does) and places them anew in another order (large
 * neighbourhood search, Shaw 1998), again and again. Yields each round's plan, null where something had no place.
 */
export function* improveJobs(
  lines: WorkshopLines,
  chains: Chains,
  random: RandomSource,
  rounds: number,
): Generator<FoundPlan | null, void, undefined> {
  const { workshop } = lines;
  const tasksOf = workshop.jobs.map((_, job) => workshop.tasks.flatMap((task, i) => (task.job === job ? [i] : [])));
  let now = measureFound(workshop, lines);
  let least = computeCost(now);
  for (let round = 0; round < rounds; round++) {
    const before = lines.keep();
    lines.patienceMin = pickOne(PATIENCE, random);
    const out = takeOut(lines, tasksOf, pickJobs(workshop, now, random));
    const stuck = placeTasks(
      lines,
      chains,
      arrange(workshop, out, random).flatMap((job) => shuffleSome(tasksOf[job]!, random)),
    );
    const found = stuck === null ? measureFound(workshop, lines) : null;
    const cost = found ? computeCost(found) : Infinity;
    if (found && cost <= least * (1 + SLACK * (1 - round / rounds) * random())) now = found;
    else lines.restore(before);
    least = Math.min(least, cost);
    yield found;
  }
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
