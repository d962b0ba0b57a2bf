import type { TaskLog } from '../model/task.ts';

/** Clocks are set right by themselves, by seconds; what is more than this was set back. */
const TOLERANCE_MS = 2 * 60_000;

/** Whether a clock stands before a moment that was written down by it. Both are ISO times in UTC. */
export const isBefore = (now: string, written: string): boolean => Date.parse(now) < Date.parse(written) - TOLERANCE_MS;

/**
 * Entries of a log, in the order in which they were written, that were written while the clock stood earlier than at one before
 * them: their hours cannot be compared with those of the others.
 */
export function selectWrittenEarlier(log: readonly TaskLog[]): ReadonlySet<string> {
  const earlier = new Set<string>();
  let latest = '';
  for (const { id, at } of log) {
    if (latest && isBefore(at, latest)) earlier.add(id);
    else if (at > latest) latest = at;
  }
  return earlier;
}
