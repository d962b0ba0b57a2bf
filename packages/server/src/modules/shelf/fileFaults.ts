import type { ShelfReport } from '@sardonyx/contract';
import { refused } from '../../http/errors.ts';

const MOST_TOLD = 200;

type Fault = { readonly line: number; readonly column?: string | null; readonly message: string };

/** What is wrong in a file, the first of it in words. */
export const describeFaults = (faults: readonly Fault[]): Pick<ShelfReport, 'problems' | 'problemCount'> => ({
  problems: faults
    .slice(0, MOST_TOLD)
    .map(({ line, column, message }) => ({ line, message: column ? `${column}: ${message}` : message })),
  problemCount: faults.length,
});

/** A file that is taken whole has none. */
export function assertFaultless(faults: readonly Fault[]): void {
  if (faults.length === 0) return;
  throw refused(
    'faulty-lines',
    `There ${faults.length === 1 ? 'is a fault' : `are ${faults.length} faults`} in it: nothing was taken.`,
  );
}
