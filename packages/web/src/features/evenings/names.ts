import type { EveningsInput } from '@sardonyx/core';
import type { Names } from './sayEvenings.ts';

export const readNames = ({ jobs, tasks, restorers }: EveningsInput): Names => ({
  jobs: new Map(jobs.map(({ id, number }) => [id, number])),
  tasks: new Map(tasks.map((task) => [task.id, task])),
  restorers: new Map(restorers.map(({ id, name }) => [id, name])),
});
