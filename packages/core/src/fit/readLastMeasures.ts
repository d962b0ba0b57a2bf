import type { TaskLog, TaskMeasure } from '../model/task.ts';

/** What was measured at a step, as it was written down last, whether it was done then or only noted; its lines in their order. */
export const readLastMeasures = (log: readonly Pick<TaskLog, 'work'>[]): readonly TaskMeasure[] =>
  [...log].reverse().find(({ work }) => work.measures.length > 0)?.work.measures ?? [];
