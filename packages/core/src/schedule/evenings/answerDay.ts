import { boundFinish } from '../solve/boundFinish.ts';
import { computeHeldMin, type Span, type WorkPlan, type Workshop } from '../solve/workshop.ts';

/** Which jobs can be ready by a moment. */
export interface DayAnswer {
  /** Indices of jobs that the plan has ready by then. */
  readonly ready: readonly number[];
  /** Jobs that cannot be, whatever the plan: their own waits and calendars alone take longer. */
  readonly cannot: readonly number[];
  /** No plan has more ready: those that can, and as many as the hands there are by then have hours for. */
  readonly most: number;
}

/** By a plan, and by what no plan can beat. A job without open tasks is ready. */
export function answerDay(workshop: Workshop, { starts }: WorkPlan, byMin: number): DayAnswer {
  const { tasks, jobs, restorers } = workshop;
  const own = jobs.map((_, job) => tasks.flatMap((task, i) => (task.job === job ? [i] : [])));
  const finish = own.map((some) =>
    some.reduce((most, i) => Math.max(most, starts[i]! + computeHeldMin(tasks[i]!, 'passive')), 0),
  );
  const all = jobs.map((_, job) => job);
  const cannot = all.filter((job) => own[job]!.length > 0 && boundFinish(pickJob(workshop, own[job]!)) > byMin);
  const everybody = restorers.map((_, i) => i);
  const can = all.filter((job) => !cannot.includes(job));
  const most = [everybody, ...everybody.map((one) => [one])].map((group) => {
    const hours = group.reduce((sum, one) => sum + sumBefore(restorers[one]!.sessions, byMin), 0);
    return countWorked(
      can.map((job) =>
        sumHands(
          own[job]!.map((i) => tasks[i]!),
          group,
        ),
      ),
      hours,
    );
  });
  return { ready: all.filter((job) => finish[job]! <= byMin), cannot, most: Math.min(...most) };
}

/** What only they can do, minutes at the hands. */
const sumHands = (tasks: Workshop['tasks'], group: readonly number[]): number =>
  tasks.reduce((sum, { who, handsMin }) => sum + (who.every((one) => group.includes(one)) ? handsMin : 0), 0);

/** How many can be through at the most in so many minutes: the shortest ones. */
function countWorked(minutes: readonly number[], hours: number): number {
  let left = hours;
  const shortest = [...minutes].sort((a, b) => a - b);
  const first = shortest.findIndex((one) => (left -= one) < 0);
  return first < 0 ? shortest.length : first;
}

const sumBefore = (sessions: readonly Span[], byMin: number): number =>
  sessions.reduce((sum, { from, to }) => sum + Math.max(0, Math.min(to, byMin) - from), 0);

/** The workshop with the tasks of one job alone. */
function pickJob(workshop: Workshop, own: readonly number[]): Workshop {
  const place = new Map(own.map((task, i) => [task, i]));
  return {
    ...workshop,
    tasks: own.map((i) => {
      const task = workshop.tasks[i]!;
      return {
        ...task,
        after: task.after.flatMap((link) => {
          const first = place.get(link.task);
          return first === undefined ? [] : [{ ...link, task: first }];
        }),
      };
    }),
  };
}
