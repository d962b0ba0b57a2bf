import type { Signing } from '../model/signing.ts';
import type { TaskLog, TaskMeasure } from '../model/task.ts';
import type { Decision, Job, Timer } from '../model/work.ts';
import type { Photo, PhotoMeasure } from '../model/workpiece.ts';
import type { Bath, StripPass } from '../model/workshop.ts';
import type { JobCost } from '../stock/gatherCost.ts';
import type { RecordColour, RecordMix } from './colourRecord.ts';
import type { RecordDecal } from './decalRecord.ts';
import type { RecordModel } from './modelRecord.ts';
import type { Hours } from './sumHours.ts';
import type { RecordOrder, RecordPrint, RecordUse } from './usedRecord.ts';

/**
 * Everything that was seen, decided, done, used and changed on one job, as plain data: docs/formats/record.schema.json.
 * Times are ISO 8601 in UTC, days ISO, lengths in the unit of their name. What was planned only stands in `notDone` and `coatsNotOn`.
 */
export interface JobRecord {
  readonly format: 'sardonyx-record';
  readonly formatVersion: 6;
  readonly job: Omit<Job, 'id' | 'version'>;
  /** For whoever owns it next, in plain words. */
  readonly disclosure: string;
  readonly models: readonly RecordModel[];
  readonly decisions: readonly RecordDecision[];
  readonly colours: readonly RecordColour[];
  readonly mixes: readonly RecordMix[];
  /** Every entry of the log in its own words, in the order in which it was written. */
  readonly work: readonly RecordWork[];
  /** Steps of the plan that were never done. */
  readonly notDone: readonly RecordOpenStep[];
  /** Steps that were declared not needed or done otherwise, with the reason. */
  readonly exceptions: readonly { readonly task: string; readonly act: string; readonly reason: string }[];
  readonly passes: readonly RecordPass[];
  readonly clocks: readonly RecordClock[];
  readonly decals: readonly RecordDecal[];
  readonly used: readonly RecordUse[];
  readonly ordered: readonly RecordOrder[];
  readonly printed: readonly RecordPrint[];
  readonly hours: Hours;
  readonly cost: JobCost;
  /** What became different in the plan, and why. */
  readonly planChanges: readonly RecordPlanChange[];
  readonly photos: readonly RecordPhoto[];
  /** Each time it was signed, and opened again; the first first. */
  readonly signings: readonly RecordSigning[];
}

export type RecordSigning = Omit<Signing, 'id' | 'version' | 'jobId'>;

/** An answer to a question on which restorers disagree. */
export interface RecordDecision extends Pick<Decision, 'school' | 'option' | 'reason'> {
  readonly question: string;
  /** Whose answer it is: of this job, of its target, of the house; the usual one where nobody said anything. */
  readonly whose: 'job' | 'target' | 'house' | 'usual';
}

export interface RecordWork extends Pick<TaskLog, 'who' | 'at' | 'act' | 'note'> {
  readonly task: string;
  readonly parts: readonly string[];
  /** Method, or the way a joint was opened; empty where there is no choice. */
  readonly by: string;
  readonly because: string;
  readonly products: readonly string[];
  readonly measures: readonly TaskMeasure[];
}

export interface RecordOpenStep {
  readonly task: string;
  readonly parts: readonly string[];
  /** Begun, not begun, or no longer asked for by the plan. */
  readonly state: 'to do' | 'doing' | 'set aside';
  readonly because: string;
}

export interface RecordPass extends Pick<
  StripPass,
  'method' | 'layers' | 'who' | 'startedAt' | 'endedAt' | 'result' | 'size'
> {
  readonly part: string;
  readonly task: string;
  /** The bath it was in; null out of one. */
  readonly bath: (Omit<Bath, 'id' | 'version' | 'vesselId'> & { readonly vessel: string }) | null;
}

export interface RecordClock extends Pick<Timer, 'label' | 'kind' | 'startedAt' | 'endsAt' | 'acknowledgedAt'> {
  readonly task: string | null;
}

export interface RecordPlanChange {
  readonly at: string;
  readonly model: string;
  readonly because: readonly string[];
  readonly added: readonly string[];
  readonly dropped: readonly string[];
  readonly keptAside: readonly string[];
}

export interface RecordPhoto extends Pick<
  Photo,
  'stage' | 'side' | 'caption' | 'widthPx' | 'heightPx' | 'takenAt' | 'control'
> {
  readonly sha256: string;
  /** null where it shows no model by itself. */
  readonly model: string | null;
  readonly measures: readonly Omit<PhotoMeasure, 'id' | 'version' | 'photoId'>[];
}
