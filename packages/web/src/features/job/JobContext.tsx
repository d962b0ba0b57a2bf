import type { JobView, SpecimenView } from '@sardonyx/contract';
import type { PaintOfParts, Task } from '@sardonyx/core';
import { createContext, useContext } from 'react';

/** What every station of a job works with: the job, the specimen in hand, the part in hand. */
export interface JobInHand {
  readonly view: JobView;
  readonly specimen: SpecimenView;
  /** Tasks of the specimen in hand, in plan order. */
  readonly tasks: readonly Task[];
  readonly paint: PaintOfParts;
  /** Id of the part in hand. */
  readonly partId: string | null;
  readonly setPartId: (id: string | null) => void;
  /** Signed off: everything is read, nothing is changed. */
  readonly isClosed: boolean;
}

export const JobContext = createContext<JobInHand | null>(null);

export function useJob(): JobInHand {
  const job = useContext(JobContext);
  if (!job) throw new Error('useJob is for the stations of a job');
  return job;
}
