import { useSyncExternalStore } from 'react';
import { askSolver, endSolver, readSolver, STALE, watchSolver, type SolverState } from './colourSolver.ts';

export { STALE };

export interface ColourWorker extends SolverState {
  readonly ask: typeof askSolver;
  /** Ends what runs; its promise fails with "Ended.". */
  readonly cancel: () => void;
}

const cancel = () => endSolver();

/** The solver beside the page, which goes on meanwhile. */
export function useColourWorker(): ColourWorker {
  const { progress } = useSyncExternalStore(watchSolver, readSolver);
  return { progress, ask: askSolver, cancel };
}
