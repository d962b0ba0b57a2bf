import { ALWAYS, type Workshop, type WorkTask } from '../../../src/schedule/solve/workshop.ts';

const TASK: WorkTask = {
  ...{ id: '', job: 0, handsMin: 20, watchedMin: 0, passiveMin: 0, after: [], notBefore: 0, within: ALWAYS, who: [0] },
  ...{ holds: [], gun: null, isDry: false, air: null },
};

/** One job, one restorer or more with two hours on each of thirty evenings, and nothing that is not said. */
export function makePlainWorkshop(
  tasks: readonly Partial<WorkTask>[],
  more: Partial<Workshop> = {},
  restorers = 1,
): Workshop {
  const sessions = Array.from({ length: 30 }, (_, day) => ({ from: day * 1440, to: day * 1440 + 120 }));
  return {
    tasks: tasks.map((task, i) => ({ ...TASK, id: `t${i}`, ...task })),
    jobs: [{ id: 'job', dueMin: null, weight: 1 }],
    restorers: Array.from({ length: restorers }, (_, i) => ({ name: `${i}`, sessions })),
    ...{ places: { oven: 2 }, dry: [], gun: { cleaningMin: 10, keepsMin: 30 }, airingMin: 30, inRoom: [], ...more },
  };
}
