import type { Task } from '@sardonyx/core';
import type { SpecimenRow } from '../../entities/workpiece.ts';
import type { SpecimenParts } from './readSpecimenParts.ts';

/** What a lane needs of its tasks; the texts of hundreds of tasks stay where they are. */
export type LaneTask = Pick<
  Task,
  | 'id'
  | 'jobId'
  | 'specimenId'
  | 'key'
  | 'seq'
  | 'station'
  | 'title'
  | 'handsOnMin'
  | 'watchedMin'
  | 'passiveMin'
  | 'colours'
  | 'state'
  | 'doneAt'
  | 'lookedAt'
  | 'after'
  | 'needs'
  | 'method'
  | 'tags'
  | 'act'
  | 'of'
  | 'partKeys'
> & {
  /** The want that it is about, where it is a step of getting one. */
  readonly getsWant: string | null;
};

/** What is read of a job for its lane; the lane itself follows from it by the hour and by what goes on in the room. */
export interface LaneRows {
  readonly specimens: readonly SpecimenRow[];
  readonly tasks: readonly LaneTask[];
  readonly parts: SpecimenParts;
}
