import { selectOpenLinks } from '../gates/checkStart.ts';
import type { Task } from '../model/work.ts';

export interface NextTask {
  /** The task in hand, or the first that may start. */
  readonly task: Task | null;
  /** What the first open task waits for when none may start. */
  readonly blockedBy: string | null;
}

/** The next act: what is under way first, then the first task in plan order whose predecessors are done. */
export function selectNextTask(tasks: readonly Task[]): NextTask {
  const ordered = [...tasks].sort((a, b) => a.seq - b.seq);
  const doing = ordered.find((task) => task.state === 'doing');
  if (doing) return { task: doing, blockedBy: null };
  const open = ordered.filter((task) => task.state === 'to do');
  const ready = open.find((task) => selectOpenLinks(task, tasks).length === 0);
  if (ready) return { task: ready, blockedBy: null };
  const first = open[0];
  return { task: null, blockedBy: first ? (selectOpenLinks(first, tasks)[0]?.title ?? null) : null };
}
