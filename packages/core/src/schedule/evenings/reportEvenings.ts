import { findDayStart } from '../../calendar/listEvenings.ts';
import { computeCost, measurePlan } from '../solve/measurePlan.ts';
import { answerDay } from './answerDay.ts';
import type { LeftOut } from './createWorkshop.ts';
import type { EveningsInput } from './eveningsInput.ts';
import { listRuns, type EveningRun } from './listRuns.ts';
import { readPlan, type EveningsPlan, type PlannableWorkshop } from './planEvenings.ts';

/** When a job is ready by the plan. Moments are ms since 1970. */
export interface JobOutlook {
  readonly jobId: string;
  /** With the last wait over; null for a job of which something is left out. */
  readonly readyAt: number | null;
  /** The end of the day it is promised by. */
  readonly dueAt: number | null;
  /** Minutes behind that; 0 in time. */
  readonly lateMin: number;
}

/** Of a day that jobs are promised by: how many can be ready. */
export interface DayOutlook {
  readonly on: string;
  readonly ready: readonly string[];
  readonly cannot: readonly string[];
  /** More than these no plan has ready. */
  readonly most: number;
}

/** What a plan of the evenings says, in fields. */
export interface EveningsReport {
  readonly plan: EveningsPlan;
  readonly jobs: readonly JobOutlook[];
  readonly days: readonly DayOutlook[];
  readonly runs: readonly EveningRun[];
  readonly leftOut: readonly LeftOut[];
  /** Hands-on minutes with cleaning the gun, and how often it is cleaned. */
  readonly handsMin: number;
  readonly cleanings: number;
  /** Weighted minutes behind promised days, all jobs. */
  readonly latenessMin: number;
  readonly readyAt: number;
  /** To compare plans of the same evenings by (computeCost). */
  readonly cost: number;
}

const MINUTE_MS = 60_000;

export function reportEvenings(input: EveningsInput, made: PlannableWorkshop, plan: EveningsPlan): EveningsReport {
  const { workshop, begin, leftOut } = made;
  const own = readPlan(input, made, plan);
  const measure = measurePlan(workshop, own);
  const { lateness, cleanings, handsMin, finishMin, finishOfJob } = measure;
  const incomplete = new Set(leftOut.map(({ task }) => task.jobId));
  const ms = (minute: number) => begin + minute * MINUTE_MS;
  const dueDays = [...new Set(input.jobs.flatMap(({ dueOn }) => dueOn ?? []))].sort();
  const readyAt = ms(finishMin);
  return {
    plan,
    ...{ leftOut, handsMin, cleanings, readyAt, latenessMin: lateness, cost: computeCost(measure) },
    jobs: input.jobs.map(({ id, dueOn }, i) => {
      const dueAt = dueOn === null ? null : findDayStart(dueOn, input.zone, 1);
      const ends = incomplete.has(id) ? null : ms(finishOfJob[i]!);
      return {
        ...{ jobId: id, readyAt: ends, dueAt },
        lateMin: dueAt === null || ends === null ? 0 : Math.max(0, (ends - dueAt) / MINUTE_MS),
      };
    }),
    days: dueDays.map((on) => {
      const byMin = (findDayStart(on, input.zone, 1) - begin) / MINUTE_MS;
      const { ready, cannot, most } = answerDay(workshop, own, byMin);
      const idOf = (job: number) => input.jobs[job]!.id;
      return { on, most, cannot: cannot.map(idOf), ready: ready.map(idOf).filter((id) => !incomplete.has(id)) };
    }),
    runs: listRuns(input, made, plan, Math.max(readyAt, ms(0)) + 1),
  };
}
