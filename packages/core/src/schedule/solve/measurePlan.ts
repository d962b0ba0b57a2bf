import { findRuns } from './findRuns.ts';
import { computeHeldMin, type WorkPlan, type Workshop } from './workshop.ts';

/** How good a plan is: lateness first, then hands, then the finish. */
export interface PlanMeasure {
  /** Minutes behind the promised ones, each times the weight of its job. */
  readonly lateness: number;
  readonly cleanings: number;
  /** Hands-on minutes, cleaning the gun included. */
  readonly handsMin: number;
  readonly finishMin: number;
  /** By job; 0 for one without tasks. */
  readonly finishOfJob: readonly number[];
}

export function measurePlan(workshop: Workshop, { starts }: WorkPlan): PlanMeasure {
  const { tasks, jobs, gun } = workshop;
  const finishOfJob = jobs.map(() => 0);
  tasks.forEach((task, i) => {
    const end = starts[i]! + computeHeldMin(task, 'passive');
    finishOfJob[task.job] = Math.max(finishOfJob[task.job]!, end);
  });
  const lateness = jobs.reduce(
    (sum, { dueMin, weight }, i) => sum + (dueMin === null ? 0 : weight * Math.max(0, finishOfJob[i]! - dueMin)),
    0,
  );
  const cleanings = tasks.filter((task) => task.gun !== null).length - findRuns(workshop, starts).size;
  const handsMin = tasks.reduce((sum, task) => sum + task.handsMin, cleanings * gun.cleaningMin);
  return { lateness, cleanings, handsMin, finishMin: Math.max(0, ...finishOfJob), finishOfJob };
}

/** In minutes of lateness: a cleaning weighs as an hour of it, or as ten of the finish; the finish of each job decides among equals. */
const WEIGHTS = { cleaning: 60, finish: 0.1, jobs: 0.0005 };

/** What a plan costs, one number to compare plans by. */
export function computeCost({ lateness, cleanings, finishMin, finishOfJob }: PlanMeasure): number {
  const jobs = finishOfJob.reduce((sum, finish) => sum + finish, 0);
  return lateness + WEIGHTS.cleaning * cleanings + WEIGHTS.finish * finishMin + WEIGHTS.jobs * jobs;
}
