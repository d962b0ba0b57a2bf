import { sumHandsOfJobs, type Workshop } from '../workshop.ts';
import type { DispatchRule } from './dispatchRule.ts';

const DAY_MIN = 1440;

/** Rules to begin with, the most different ones first: few rounds should see some of each kind. */
export function listFirstRules(workshop: Workshop): DispatchRule[] {
  const { jobs, tasks } = workshop;
  const handsOf = sumHandsOfJobs(workshop);
  // What nobody waits for comes after all that is promised.
  const last = jobs.reduce((most, { dueMin }) => Math.max(most, dueMin ?? 0), 0);
  const dueOf = (job: number) => jobs[job]!.dueMin ?? last;
  const dues = [
    (job: number) => dueOf(job),
    (job: number) => dueOf(job) / jobs[job]!.weight,
    (job: number) => (dueOf(job) + 200 * handsOf[job]!) / Math.sqrt(jobs[job]!.weight),
    (job: number) => (60 * handsOf[job]!) / jobs[job]!.weight,
  ];
  return [4, 2, 0.5, 8].flatMap((tailShare) =>
    [4, 1].flatMap((leastRun) =>
      dues.map((due) => ({
        ...{ due: jobs.map((_, job) => due(job)), tailShare, leastRun },
        ...{ waitMin: 6 * DAY_MIN, hasteMin: DAY_MIN, idleMin: 10, sessionsAhead: 2 },
        ...{ shift: tasks.map(() => 0), putOff: tasks.map(() => 0), leftTo: tasks.map(() => -1) },
      })),
    ),
  );
}
