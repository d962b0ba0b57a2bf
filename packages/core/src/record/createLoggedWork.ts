import type { LoggedWork, Task, TaskMeasure } from '../model/task.ts';

/** What of a task's circumstances goes into the log with it. */
export interface WorkCircumstances {
  readonly parts: readonly { readonly key: string; readonly name: string }[];
  /** Coats that were logged for it, by name. */
  readonly coats: readonly string[];
  readonly measures: readonly TaskMeasure[];
}

/** A task as it goes into the log: its own words and fields, so that nothing decided later changes what was done. */
export function createLoggedWork(task: Task, { parts, coats, measures }: WorkCircumstances): LoggedWork {
  const { act, of, partKeys, station, method, process, way, colours, rule } = task;
  const { title, how, because, handsOnMin, watchedMin, passiveMin } = task;
  return {
    ...{ act, of, partKeys, station, method, process, way, colours, rule },
    ...{ title, how, because, handsOnMin, watchedMin, passiveMin },
    partNames: partKeys.map((key) => parts.find((part) => part.key === key)?.name ?? key),
    products: coats,
    measures,
  };
}
