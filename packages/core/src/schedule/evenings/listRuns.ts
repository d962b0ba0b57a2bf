import { convertToLocalTime } from '../../calendar/localTime.ts';
import { findRuns } from '../solve/findRuns.ts';
import type { EveningsInput } from './eveningsInput.ts';
import { readPlan, type EveningsPlan, type PlannableWorkshop } from './planEvenings.ts';

/** One step of an evening, ms since 1970. */
export interface RunStep {
  readonly taskId: string;
  readonly restorerId: string;
  readonly startsAt: number;
  readonly handsUntil: number;
  /** Somebody stays in the room until then; null where nothing is watched. */
  readonly watchedUntil: number | null;
  /** It dries, sets or soaks by itself until then; null where nothing does. */
  readonly passiveUntil: number | null;
  /** It runs on when the last one has left: begun before, or it waits for the next evening. */
  readonly runsOn: boolean;
  /** The gun is cleaned after it, minutes; 0 where the next spray has the same colour. */
  readonly cleaningMin: number;
}

/** All sessions of one local day, and what is planned in them. */
export interface EveningRun {
  /** Local day, 2026-12-24. */
  readonly on: string;
  readonly from: number;
  readonly to: number;
  readonly sessions: readonly { readonly restorerId: string; readonly from: number; readonly to: number }[];
  readonly steps: readonly RunStep[];
}

const MINUTE_MS = 60_000;

/** The evenings of a plan, soonest first, with those in which nothing is to do, so far as `until`. */
export function listRuns(
  { restorers, zone }: EveningsInput,
  made: PlannableWorkshop,
  plan: EveningsPlan,
  until: number,
): EveningRun[] {
  const { workshop, begin } = made;
  const ms = (minute: number) => begin + minute * MINUTE_MS;
  const runs = new Map<string, { sessions: EveningRun['sessions'][number][]; steps: RunStep[] }>();
  const runOf = (on: string) => {
    const run = runs.get(on) ?? { sessions: [], steps: [] };
    runs.set(on, run);
    return run;
  };
  const sessions = workshop.restorers
    .flatMap((calendar, i) =>
      calendar.sessions.map(({ from, to }) => ({ restorerId: restorers[i]!.id, from: ms(from), to: ms(to) })),
    )
    .filter(({ from }) => from < until)
    .sort((a, b) => a.from - b.from);
  for (const session of sessions) runOf(sayLocalDay(session.from, zone)).sessions.push(session);
  const { starts, who } = readPlan({ restorers }, made, plan);
  const inRun = findRuns(workshop, starts);
  workshop.tasks.forEach((task, i) => {
    const startsAt = ms(starts[i]!);
    const session = sessions.find(
      ({ restorerId, from, to }) => restorerId === restorers[who[i]!]?.id && from <= startsAt && startsAt <= to,
    );
    if (!session) return;
    const handsUntil = startsAt + task.handsMin * MINUTE_MS;
    const watchedUntil = handsUntil + task.watchedMin * MINUTE_MS;
    const passiveUntil = watchedUntil + task.passiveMin * MINUTE_MS;
    runOf(sayLocalDay(session.from, zone)).steps.push({
      ...{ taskId: task.id, restorerId: session.restorerId, startsAt, handsUntil, runsOn: false },
      watchedUntil: task.watchedMin > 0 ? watchedUntil : null,
      passiveUntil: task.passiveMin > 0 ? passiveUntil : null,
      cleaningMin: task.gun === null || inRun.has(i) ? 0 : workshop.gun.cleaningMin,
    });
  });
  return [...runs]
    .map(([on, run]) => {
      const to = Math.max(...run.sessions.map((one) => one.to));
      return {
        ...{ on, from: Math.min(...run.sessions.map((one) => one.from)), to, sessions: run.sessions },
        steps: run.steps
          .map((step) => ({ ...step, runsOn: (step.passiveUntil ?? 0) > to }))
          .sort((a, b) => a.startsAt - b.startsAt),
      };
    })
    .sort((a, b) => a.from - b.from);
}

function sayLocalDay(at: number, zone: string): string {
  const { year, month, day } = convertToLocalTime(new Date(at), zone);
  return new Date(Date.UTC(year, month - 1, day)).toISOString().slice(0, 10);
}
