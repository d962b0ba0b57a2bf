import type {
  ColourCapture,
  Geometry,
  LabColour,
  Mix,
  MixStep,
  PaintPot,
  PaintProduct,
  Eyes,
  WetDryPair,
} from '@sardonyx/core';

export interface ShelfView {
  readonly products: readonly PaintProduct[];
  readonly pots: readonly PaintPot[];
  /** Every paint line's patches that were read wet and dry. */
  readonly dried: readonly (WetDryPair & { readonly line: string })[];
  /** By who looks: what was learned of each eye. */
  readonly eyes: Eyes;
}

export interface MixView extends Mix {
  readonly steps: readonly MixStep[];
}

/** Colours of one job: as they were, and as they were mixed. */
export interface ColourView {
  readonly captures: readonly ColourCapture[];
  readonly mixes: readonly MixView[];
}

/** What a spectrophotometer saw. */
export interface ColourReading {
  readonly spectrum: readonly number[];
  readonly geometry: Geometry;
  readonly lab: LabColour;
  readonly labA: LabColour;
  readonly sd: LabColour;
  /** null where the instrument keeps that to itself. */
  readonly sinceCalibrationMin: number | null;
  readonly isSimulated: boolean;
}

/** What a file brought onto the shelf, and what of it was left out and why. */
export interface ShelfReport {
  readonly added: number;
  readonly changed: number;
  readonly unchanged: number;
  /** It was taken; otherwise the report says what it would do. */
  readonly isTaken: boolean;
  /** Lines that are left out, the first of them. */
  readonly problems: readonly { readonly line: number; readonly message: string }[];
  readonly problemCount: number;
}
