import type { Versioned } from './catalogue.ts';
import type { CapturePlace, Geometry, LabColour } from './reading.ts';
import type { Point } from './plane.ts';

/** Where K and S of a paint come from; the later in the list, the less they are to be trusted. */
export const OPTICS_BASES = ['drawdowns', 'mixed here', 'masstone', 'colour only'] as const;
export type OpticsBasis = (typeof OPTICS_BASES)[number];

/** Absorption and scattering of a paint on 31 bands, 1/mm. */
export interface OpticsRecord {
  readonly k: readonly number[];
  readonly s: readonly number[];
  readonly basis: OpticsBasis;
}

/** One paint of a recipe, by volume. */
export interface RecipeLine {
  readonly productId: string;
  readonly name: string;
  readonly ml: number;
}

export const CAPTURE_METHODS = ['photo', 'spectrophotometer', 'typed'] as const;
export type CaptureMethod = (typeof CAPTURE_METHODS)[number];

/** A colour as it was before the work, of one part of one job. Kept for good. */
export interface ColourCapture {
  readonly id: string;
  readonly jobId: string;
  readonly specimenPartId: string;
  readonly place: CapturePlace;
  /** "under the base, left". */
  readonly note: string;
  readonly lab: LabColour;
  /** One standard deviation of each coordinate. */
  readonly sd: LabColour;
  /** 31 bands where an instrument gave them. */
  readonly spectrum: readonly number[] | null;
  readonly geometry: Geometry;
  readonly method: CaptureMethod;
  readonly photoId: string | null;
  readonly point: Point | null;
  readonly takenAt: string;
  readonly who: string;
}

/** How pots are dosed: 0.01 g on scales, or drops. */
export const DOSINGS = ['scales', 'drops'] as const;
export type Dosing = (typeof DOSINGS)[number];

export const MIX_WAYS = ['light end', 'nearest pot'] as const;
export type MixWay = (typeof MIX_WAYS)[number];

/** One mixing: a colour that is wanted, and the pot in which it comes about. */
export interface Mix extends Versioned {
  readonly jobId: string;
  readonly specimenPartId: string | null;
  readonly captureId: string | null;
  readonly name: string;
  readonly target: LabColour;
  /** The same under illuminant A. */
  readonly targetA: LabColour;
  readonly geometry: Geometry;
  readonly needMl: number;
  /** dE00 that is good enough. */
  readonly tolerance: number;
  readonly dosing: Dosing;
  /** ml of one dose: a hundredth on scales, a drop. */
  readonly doseMl: number;
  readonly way: MixWay;
  /** What it began with, as planned. */
  readonly recipe: readonly RecipeLine[];
  readonly startedAt: string;
  /** Kept as a pot of its own, or given up; null while it is being mixed. */
  readonly endedAt: string | null;
  /** The pot that it became. */
  readonly productId: string | null;
}

export const POUR_SOURCES = ['scales', 'counted', 'typed'] as const;

/** Poured from a pot into the mix. */
export interface Pour {
  readonly kind: 'pour';
  readonly productId: string;
  readonly ml: number;
  readonly source: (typeof POUR_SOURCES)[number];
}

/** A difference in one way, in words: how much, and which way (1 lighter, redder, yellower than wanted). */
export interface EyeWordRecord {
  readonly step: 'none' | 'slight' | 'clear' | 'strong';
  readonly way: 1 | -1;
}

/** A dried patch of the mix, measured or judged. */
export interface PatchReading {
  readonly kind: 'patch';
  readonly lab: LabColour;
  readonly sd: LabColour;
  readonly how: 'spectrophotometer' | 'by eye' | 'typed';
  readonly words: readonly [lightness: EyeWordRecord, redGreen: EyeWordRecord, yellowBlue: EyeWordRecord] | null;
}

/** The same mix read while it was wet; the next patch says what it dried to. */
export interface WetReading {
  readonly kind: 'wet';
  readonly lab: LabColour;
  /** null in logs from before it was kept: as finely as an instrument reads. */
  readonly sd?: LabColour | null;
  readonly how?: PatchReading['how'];
  readonly words?: PatchReading['words'];
}

/** Takes a mislogged step out of the account; the step itself stays in the log. */
export interface StepUndone {
  readonly kind: 'undo';
  readonly stepId: string;
}

export type MixStepBody = Pour | PatchReading | WetReading | StepUndone;

/** One line of a mixing's log, in order; lines are never changed. */
export interface MixStep {
  readonly id: string;
  readonly mixId: string;
  readonly seq: number;
  readonly at: string;
  readonly who: string;
  readonly body: MixStepBody;
}
