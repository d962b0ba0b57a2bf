import { selectOpenLinks, type LinkedTask } from '../gates/openLinks.ts';
import type { Task } from '../model/task.ts';

export interface NextTask<T> {
  /** The task in hand, or the first that may start. */
  readonly task: T | null;
  /** What the open tasks wait for when none may start: whatever ends soonest, else what the first one waits for. */
  readonly blockedBy: { readonly title: string; readonly from: string | null } | null;
}

/** The next act: what is under way first, then the first task in plan order whose predecessors are done and waits over. */
export function selectNextTask<T extends LinkedTask & Pick<Task, 'seq' | 'after' | 'tags'>>(
  tasks: readonly T[],
  now: Date,
): NextTask<T> {
  const ordered = [...tasks].sort((a, b) => a.seq - b.seq);
  const doing = ordered.find((task) => task.state === 'doing');
  if (doing) return { task: doing, blockedBy: null };
  const open = ordered.filter((task) => task.state === 'to do');
  const ready = open.find((task) => selectOpenLinks(task, tasks, now).length === 0);
  if (ready) return { task: ready, blockedBy: null };
  const links = open.map((task) => selectOpenLinks(task, tasks, now));
  // Tasks that only wait, and for nothing that hands could do.
  const waits = links.filter((own) => own.every(({ from }) => from !== null));
  const lastOf = (own: (typeof links)[number]) => own.reduce((a, b) => (b.from! > a.from! ? b : a));
  const soonest = waits.map(lastOf).sort((a, b) => a.from!.localeCompare(b.from!))[0] ?? links[0]?.[0];
  return {
    task: null,
    blockedBy: soonest ? { title: soonest.before.title, from: soonest.from } : null,
  };
}

/** The next act over all models of a job: one in hand first, then the first that may start. */
export function selectNextOfJob<T extends LinkedTask & Pick<Task, 'seq' | 'after' | 'tags' | 'specimenId'>>(
  tasks: readonly T[],
  now: Date,
): NextTask<T> {
  const perSpecimen = [...new Set(tasks.map((task) => task.specimenId))].map((id) =>
    selectNextTask(
      tasks.filter((task) => task.specimenId === id),
      now,
    ),
  );
  return (
    perSpecimen.find((next) => next.task?.state === 'doing') ??
    perSpecimen.find((next) => next.task) ??
    perSpecimen[0] ?? { task: null, blockedBy: null }
  );
}
