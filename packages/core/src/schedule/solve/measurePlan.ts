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

export function measurePlan({ tasks, jobs, gun }: Workshop, { starts }: WorkPlan): PlanMeasure {
  const finishOfJob = jobs.map(() => 0);
  tasks.forEach((task, i) => {
    const end = starts[i]! + computeHeldMin(task, 'passive');
    finishOfJob[task.job] = Math.max(finishOfJob[task.job]!, end);
  });
  const lateness = jobs.reduce(
    (sum, { dueMin, weight }, i) => sum + (dueMin === null ? 0 : weight * Math.max(0, finishOfJob[i]! - dueMin)),
    0,
  );
  const cleanings = countCleanings(tasks, starts, gun.keepsMin);
  const handsMin = tasks.reduce((sum, task) => sum + task.handsMin, cleanings * gun.cleaningMin);
  return { lateness, cleanings, handsMin, finishMin: Math.max(0, ...finishOfJob), finishOfJob };
}

function countCleanings(tasks: Workshop['tasks'], starts: ArrayLike<number>, keepsMin: number): number {
  const sprays = tasks.flatMap(({ gun, handsMin }, i) =>
    gun === null ? [] : [{ gun, from: starts[i]!, to: starts[i]! + handsMin }],
  );
  sprays.sort((a, b) => a.from - b.from);
  return sprays.filter(({ gun, to }, i) => {
    const next = sprays[i + 1];
    return next?.gun !== gun || next.from - to > keepsMin;
  }).length;
}
