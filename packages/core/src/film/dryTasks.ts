import type { CoatEvidence } from '../gates/coatsOfTask.ts';
import type { Task } from '../model/task.ts';
import type { FilmSpans, StandingCoat } from './answerArea.ts';
import { spansOfTask } from './spansOfTask.ts';

/** Tasks of one model, each with when the coats that it left bear what: what comes after them waits for that. */
export function dryTasks<T extends Pick<Task, 'act' | 'of' | 'partKeys' | 'state'>>(
  tasks: readonly T[],
  evidence: CoatEvidence,
  standing: readonly StandingCoat[],
): (T & { readonly film?: FilmSpans })[] {
  return tasks.map((task) => {
    const film = task.state === 'done' && standing.length ? spansOfTask(task, evidence, standing) : null;
    // Most have none: they stay the rows they are.
    return film ? { ...task, film } : task;
  });
}
