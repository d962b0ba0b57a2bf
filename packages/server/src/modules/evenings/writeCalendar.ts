import type { EveningsView } from '@sardonyx/contract';
import { findPlannable, listRuns, sayMinutes, type EveningRun } from '@sardonyx/core';
import { ICalCalendar, ICalCalendarMethod } from 'ical-generator';

/** How often a calendar that is subscribed to looks again, seconds. */
const LOOKS_AGAIN_S = 3600;
const DAY_MS = 86_400_000;
/** A calendar of years helps nobody. */
const AHEAD_DAYS = 180;

/** The evenings as an iCalendar (RFC 5545): a session each with its steps, and the days that models are promised by. */
export function writeCalendar(
  { input, restorers, weather, kept }: EveningsView,
  {
    benchName,
    restorerId,
    now,
  }: { readonly benchName: string; readonly restorerId: string | null; readonly now: Date },
): string {
  const { zone, tasks, jobs } = input;
  const who = restorers.find(({ id }) => id === restorerId);
  const calendar = new ICalCalendar({
    ...{ name: who ? `${benchName}: ${who.name}` : benchName, method: ICalCalendarMethod.PUBLISH, ttl: LOOKS_AGAIN_S },
    prodId: { company: 'Sardonyx', product: 'Evenings', language: 'EN' },
  });
  const whole = { ...input, restorers, weather, now: now.getTime(), pins: kept?.pins ?? [], inRoom: [] };
  const until = now.getTime() + AHEAD_DAYS * DAY_MS;
  const runs = listRuns(whole, findPlannable(whole), kept ?? { starts: [], late: [] }, until);
  const taskOf = new Map(tasks.map((task) => [task.id, task]));
  const numberOf = new Map(jobs.map(({ id, number }) => [id, number]));
  const hour = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: zone });
  const say = ({ taskId, startsAt }: EveningRun['steps'][number]) => {
    const task = taskOf.get(taskId)!;
    return `${hour.format(startsAt)} ${numberOf.get(task.jobId)} ${task.title}, ${sayMinutes(task.handsOnMin)}`;
  };
  for (const run of runs)
    for (const session of run.sessions) {
      const restorer = restorers.find(({ id }) => id === session.restorerId)!;
      if (who && who !== restorer) continue;
      const steps = run.steps.filter(
        (step) => step.restorerId === restorer.id && session.from <= step.startsAt && step.startsAt < session.to,
      );
      const numbers = [...new Set(steps.map(({ taskId }) => numberOf.get(taskOf.get(taskId)!.jobId)))];
      calendar.createEvent({
        id: `session-${restorer.id}-${new Date(session.from).toISOString()}@sardonyx`,
        start: new Date(session.from),
        end: new Date(session.to),
        summary: `${who ? '' : `${restorer.name}: `}${steps.length === 0 ? 'bench, nothing planned' : `bench, ${numbers.join(', ')}`}`,
        description: steps.map(say).join('\n'),
      });
    }
  for (const { id, number, dueOn } of jobs)
    if (dueOn)
      calendar.createEvent({
        ...{ id: `due-${id}@sardonyx`, summary: `${number} is promised by today`, allDay: true },
        start: new Date(`${dueOn}T00:00:00Z`),
        timezone: 'UTC',
      });
  return calendar.toString();
}
