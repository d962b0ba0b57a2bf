import type { Task } from '../model/task.ts';
import type { TimerKind } from '../model/work.ts';

export interface TaskClock {
  readonly kind: TimerKind;
  readonly minutes: number;
  readonly label: string;
  /** What is waited for: "Watch it for", "Leave it for". */
  readonly word: string;
}

/**
 * The clock that belongs to a task: its watched minutes, else its passive ones; null when it waits for nothing.
 * While a coat dries its vapour is in the room, so such a clock counts as flash-off to the end (the careful side).
 */
export function chooseClock(task: Pick<Task, 'title' | 'tags' | 'watchedMin' | 'passiveMin'>): TaskClock | null {
  const { title, tags, watchedMin, passiveMin } = task;
  if (watchedMin > 0) {
    const kind: TimerKind = tags.includes('heat') ? 'heat' : tags.includes('bath') ? 'bath' : 'soak';
    return { kind, minutes: watchedMin, label: title, word: 'Watch it for' };
  }
  if (passiveMin > 0) {
    const kind: TimerKind = tags.includes('vapour') ? 'flash' : 'cure';
    return { kind, minutes: passiveMin, label: title, word: 'Leave it for' };
  }
  return null;
}
