import type { RandomSource } from '../../numeric/seededRandom.ts';
import { findChains } from '../solve/chains.ts';
import { improvePlan } from '../solve/improvePlan.ts';
import { isInWindows } from '../solve/isInWindows.ts';
import { listOrders } from '../solve/listOrders.ts';
import { placeTasks } from '../solve/placeTasks.ts';
import type { WorkPlan, Workshop } from '../solve/workshop.ts';
import { WorkshopLines } from '../solve/workshopLines.ts';
import { createWorkshop, type EveningsWorkshop } from './createWorkshop.ts';
import type { EveningsInput, PlannedStart } from './eveningsInput.ts';

/** A plan of all evenings, as it is kept. */
export interface EveningsPlan {
  readonly starts: readonly PlannedStart[];
  /** Tasks that come later than a window or a latest lets them, because nobody is there in time: they want a fresh look. */
  readonly late: readonly string[];
}

export interface EveningsStep {
  readonly round: number;
  readonly rounds: number;
  readonly plan: EveningsPlan;
}

/** A workshop in which every task has a place. */
export interface PlannableWorkshop extends EveningsWorkshop {
  /** Before any latest was given up. */
  readonly strict: Workshop;
}

/**
 * The workshop with as few latests given up as it takes for every task to have a place: those of a task that has none and of what hangs
 * on it, else those of its job. A coat whose window shuts before anybody comes is rubbed dull then: that is said, and is no reason for
 * having no plan.
 *
 * @throws RangeError where a task has no place even so
 */
export function findPlannable(input: EveningsInput): PlannableWorkshop {
  const strict = createWorkshop(input).workshop;
  const loose = new Set<string>();
  for (;;) {
    const made = createWorkshop(input, ({ id }) => loose.has(id));
    const chains = findChains(made.workshop);
    const [byDue] = listOrders(made.workshop, chains);
    const stuck = placeTasks(new WorkshopLines(made.workshop), chains, byDue!);
    if (stuck === null) return { ...made, strict };
    const { title, jobId } = made.tasks[stuck]!;
    const own = [stuck, ...chains.together[stuck]!].map((one) => made.tasks[one]!.id);
    const ofJob = made.tasks.filter((task) => task.jobId === jobId).map(({ id }) => id);
    const more = [own, ofJob].find((ids) => ids.some((id) => !loose.has(id)));
    if (!more) throw new RangeError(`"${title}" has no place in any evening.`);
    for (const id of more) loose.add(id);
  }
}

/** Plans everything that is open, from the present plan or anew. Anytime: each step holds the best plan so far. */
export function* planEvenings(
  input: EveningsInput,
  made: PlannableWorkshop,
  random: RandomSource,
  rounds: number,
  present: EveningsPlan | null = null,
): Generator<EveningsStep, EveningsPlan, undefined> {
  const search = improvePlan(made.workshop, random, rounds, present && readPlan(input, made, present));
  for (;;) {
    const { done, value } = search.next();
    if (done) return writePlan(input, made, value!);
    yield { round: value.round, rounds: value.rounds, plan: writePlan(input, made, value.best) };
  }
}

export function writePlan(
  { restorers }: EveningsInput,
  { tasks, begin, strict }: PlannableWorkshop,
  { starts, who }: WorkPlan,
): EveningsPlan {
  return {
    starts: tasks.map(({ id }, i) => ({
      ...{ taskId: id, startsAt: begin + starts[i]! * MINUTE_MS, restorerId: restorers[who[i]!]!.id },
    })),
    late: tasks.filter((_, i) => !isInWindows(strict, starts, i)).map(({ id }) => id),
  };
}

/** A plan on the minutes of a workshop; NaN for what it does not have, or by somebody who is gone. */
export function readPlan(
  { restorers }: Pick<EveningsInput, 'restorers'>,
  { tasks, begin }: EveningsWorkshop,
  plan: EveningsPlan,
): WorkPlan {
  const byTask = new Map(plan.starts.map((one) => [one.taskId, one]));
  const read = tasks.map(({ id }) => {
    const one = byTask.get(id);
    const who = restorers.findIndex((restorer) => restorer.id === one?.restorerId);
    return one && who >= 0 ? { start: (one.startsAt - begin) / MINUTE_MS, who } : { start: NaN, who: -1 };
  });
  return { starts: read.map(({ start }) => start), who: read.map(({ who }) => who) };
}

const MINUTE_MS = 60_000;
