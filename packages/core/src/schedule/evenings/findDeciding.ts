import { findDayStart } from '../../calendar/listEvenings.ts';
import { findChains } from '../solve/chains.ts';
import { repairPlan } from '../solve/repairPlan.ts';
import type { Workshop } from '../solve/workshop.ts';
import { answerDay } from './answerDay.ts';
import type { EveningsInput } from './eveningsInput.ts';
import { listRuns, type EveningRun } from './listRuns.ts';
import { readPlan, type EveningsPlan, type PlannableWorkshop } from './planEvenings.ts';

/** An evening without which fewer jobs are ready by a day, and which those are. */
export interface DecidingEvening {
  readonly on: string;
  readonly late: readonly string[];
}

/**
 * The evenings that decide whether what the plan has ready by a day is ready: each is taken away by itself, and the plan mended. What a
 * longer search could save is not asked, so one may decide less than is said, never more. Yields the share that was looked at.
 */
export function* findDeciding(
  input: EveningsInput,
  made: PlannableWorkshop,
  plan: EveningsPlan,
  on: string,
): Generator<number, DecidingEvening[], undefined> {
  const { workshop, begin } = made;
  const chains = findChains(workshop);
  const own = readPlan(input, made, plan);
  const end = findDayStart(on, input.zone, 1);
  const byMin = (end - begin) / 60_000;
  const { ready } = answerDay(workshop, own, byMin);
  const runs = listRuns(input, made, plan, end).filter(({ steps }) => steps.length > 0);
  const deciding: DecidingEvening[] = [];
  for (const [i, run] of runs.entries()) {
    const without = dropRun(workshop, run, begin);
    const mended = repairPlan(without, chains, own);
    const still = mended ? answerDay(without, mended, byMin).ready : [];
    const late = ready.filter((job) => !still.includes(job)).map((job) => input.jobs[job]!.id);
    if (late.length > 0) deciding.push({ on: run.on, late });
    yield (i + 1) / runs.length;
  }
  return deciding;
}

const dropRun = (workshop: Workshop, { sessions }: EveningRun, begin: number): Workshop => ({
  ...workshop,
  restorers: workshop.restorers.map((restorer) => ({
    ...restorer,
    sessions: restorer.sessions.filter(({ from }) => !sessions.some((one) => one.from === begin + from * 60_000)),
  })),
});
