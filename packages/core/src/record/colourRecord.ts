import type { ColourCapture, Mix, MixStepBody } from '../model/colour.ts';
import type { LabColour } from '../model/reading.ts';

/** A colour as it was before the work. */
export interface RecordColour extends Pick<
  ColourCapture,
  'place' | 'note' | 'lab' | 'sd' | 'spectrum' | 'geometry' | 'method' | 'point' | 'takenAt' | 'who'
> {
  readonly part: string;
  /** SHA-256 of the photograph it was read off; null where it was not. */
  readonly photo: string | null;
}

/** What was mixed for the job, with every paint, and how near its last patch came. */
export interface RecordMix extends Pick<
  Mix,
  'name' | 'targetA' | 'geometry' | 'needMl' | 'tolerance' | 'dosing' | 'doseMl' | 'way' | 'startedAt' | 'endedAt'
> {
  /** null where it is for no part by itself. */
  readonly part: string | null;
  readonly target: LabColour;
  /** The place of the captured colour that it was to meet; null where it was told otherwise. */
  readonly capturedAt: string | null;
  readonly recipe: readonly RecordPour[];
  /** What is in it by its log. */
  readonly paints: readonly RecordPour[];
  readonly patches: number;
  /** null where no patch was painted. */
  readonly lastDe00: number | null;
  /** The pot that it became; null where it was given up, or is under way. */
  readonly keptAs: string | null;
  /** Its log. */
  readonly steps: readonly { readonly at: string; readonly who: string; readonly what: RecordMixStep }[];
}

export interface RecordPour {
  readonly name: string;
  readonly ml: number;
}

/** As it was logged, paints by name, undone steps by their number (1 is the first). */
export type RecordMixStep =
  | { readonly kind: 'pour'; readonly paint: string; readonly ml: number; readonly source: string }
  | { readonly kind: 'undo'; readonly step: number }
  | Exclude<MixStepBody, { readonly kind: 'pour' } | { readonly kind: 'undo' }>;
