import type { PartDone } from '../facts/specimenFacts.ts';
import type { LabColour } from '../model/reading.ts';
import type { TaskLog } from '../model/task.ts';
import type { CoatingLayer, ComingOff, Finding, Photo, SpecimenPart, Want } from '../model/workpiece.ts';
import type { Job } from '../model/work.ts';

/** What is known of one specimen when the record is written. */
export interface RecordSpecimen {
  readonly name: string;
  readonly casting: string;
  readonly verdict: string;
  readonly parts: readonly RecordPart[];
}

export interface RecordPart {
  readonly part: SpecimenPart;
  readonly findings: readonly Finding[];
  readonly wants: readonly Want[];
  readonly comingsOff: readonly ComingOff[];
  /** What the log says was done to it. */
  readonly done: PartDone;
  readonly layers: readonly (CoatingLayer & { readonly area: string })[];
}

/** A colour as it was before the work. */
export interface RecordColour {
  readonly part: string;
  readonly place: string;
  readonly note: string;
  readonly lab: LabColour;
  readonly sd: LabColour;
  readonly geometry: string;
  readonly method: string;
  readonly takenAt: string;
  readonly who: string;
}

/** What was mixed for it, with every paint, and how near its last patch came. */
export interface RecordMix {
  readonly name: string;
  readonly part: string;
  readonly target: LabColour;
  readonly paints: readonly { readonly name: string; readonly ml: number }[];
  readonly patches: number;
  /** null where no patch was painted. */
  readonly lastDe00: number | null;
  readonly isKept: boolean;
}

export interface RecordInput {
  readonly colours: readonly RecordColour[];
  readonly mixes: readonly RecordMix[];
  readonly job: Job;
  readonly specimens: readonly RecordSpecimen[];
  readonly log: readonly TaskLog[];
  readonly photos: readonly Photo[];
}
