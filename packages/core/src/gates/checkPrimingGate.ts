import { isSettled, type Task } from '../model/task.ts';
import type { TaskTag } from '../model/taskTags.ts';
import { isWaitedOut } from './checkSignOff.ts';

/** One thing that must be true before a part is primed. */
export interface GateLine {
  readonly what: string;
  readonly isMet: boolean;
  /** Titles of what is still to be done for it, or what still dries or cures. */
  readonly missing: readonly string[];
}

const GATE: readonly (readonly [what: string, tags: readonly TaskTag[], scope: 'part' | 'model'])[] = [
  ['Paint off, rinsed and dry', ['strip', 'wash', 'blast'], 'part'],
  ['Inspected bare', ['inspect'], 'part'],
  ['Straight, mended, dressed', ['repair', 'fill', 'solder'], 'part'],
  ['Holes drilled and tapped, swarf out', ['drill and tap'], 'part'],
  ['New parts tried on it', ['trial fit', 'late trial fit'], 'part'],
  ['Fitted dry: axles, seats, halves', ['dry fit'], 'model'],
  ['Degreased, not touched since', ['degrease'], 'part'],
];

/**
 * What must be true before primer goes on a part, and what of it is missing; null for a part that is not primed.
 * Only what the plan asks for is listed. What still dries or cures counts as missing, unless somebody
 * looked and said that it holds.
 */
export function checkPrimingGate(tasks: readonly Task[], partKey: string, now: Date): readonly GateLine[] | null {
  const isDropped = ({ state }: Task) => state === 'not needed' || state === 'set aside';
  if (!tasks.some((task) => task.act === 'prime' && task.partKeys.includes(partKey) && !isDropped(task))) return null;
  return GATE.flatMap(([what, tags, scope]) => {
    const own = tasks.filter(
      (task) =>
        !isDropped(task) &&
        task.tags.some((tag) => tags.includes(tag)) &&
        (scope === 'model' || task.partKeys.includes(partKey)),
    );
    if (own.length === 0) return [];
    const missing = own.flatMap((task) =>
      !isSettled(task) ? [task.title] : !isWaitedOut(task, now) ? [`${task.title} (not dry or set yet)`] : [],
    );
    return [{ what, isMet: missing.length === 0, missing }];
  });
}
