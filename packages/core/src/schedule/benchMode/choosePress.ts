import { isGraveStep } from '../../gates/isGraveStep.ts';
import type { Task } from '../../model/task.ts';
import { chooseClock, type TaskClock } from '../chooseClock.ts';

/** What the one press of bench mode does with a step. What hurts, or cannot be undone, is held. */
export type Press =
  | { readonly does: 'read'; readonly hazard: string; readonly isHeld: true }
  | { readonly does: 'start'; readonly isHeld: boolean; readonly clock: TaskClock | null }
  | { readonly does: 'start clock'; readonly isHeld: false; readonly clock: TaskClock }
  | { readonly does: 'done'; readonly isHeld: false; readonly clock: TaskClock | null };

type PressedTask = Pick<Task, 'title' | 'tags' | 'watchedMin' | 'passiveMin' | 'hazards' | 'irreversible' | 'state'>;

/**
 * The next press of a step: its hazards are read one by one, then it is begun, then its clock, then it is done. A step that neither hurts
 * nor is watched needs no beginning. A watched clock starts with the step, one that only waits when the hands have done.
 *
 * @param read hazards that whoever stands here has read since the step came up.
 * @param hadClock a clock of this step rang or was stopped since it was begun.
 */
export function choosePress(task: PressedTask, read: readonly string[], hadClock: boolean): Press {
  // Each pass of stripping has a clock of its own, in a bath that is chosen then.
  const clock = task.tags.includes('strip') ? null : chooseClock(task);
  const isWatched = clock !== null && task.watchedMin > 0;
  if (task.state === 'to do' && isGraveStep(task)) {
    const unread = task.hazards.find((hazard) => !read.includes(hazard));
    if (unread !== undefined) return { does: 'read', hazard: unread, isHeld: true };
    return { does: 'start', isHeld: task.irreversible, clock: isWatched ? clock : null };
  }
  if (task.state === 'to do' && isWatched) return { does: 'start', isHeld: false, clock };
  if (task.state === 'doing' && isWatched && !hadClock) return { does: 'start clock', isHeld: false, clock };
  return { does: 'done', isHeld: false, clock: isWatched ? null : clock };
}
