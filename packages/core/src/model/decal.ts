import type { Versioned } from './catalogue.ts';
import type { Point } from './plane.ts';

/** One flat shape of an artwork, millimetres from the artwork's own corner, y down; later ones lie on earlier ones. */
export interface InkShape {
  readonly d: string;
  /** '#rrggbb'; null where only the line is printed. */
  readonly fill: string | null;
  readonly isEvenOdd: boolean;
  readonly stroke: string | null;
  readonly strokeMm: number;
}

/** What is printed, at its true size. */
export interface Artwork {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly shapes: readonly InkShape[];
}

export interface InkShare {
  readonly hex: string;
  /** Of all that is printed. */
  readonly share: number;
}

/** How the size of an artwork is known: px depend on the program that wrote the file. */
export const ARTWORK_SIZES = ['units of the file', 'px of the file', 'typed'] as const;
export type ArtworkSize = (typeof ARTWORK_SIZES)[number];

/** An artwork that is kept, for every job that wants it. */
export interface DecalArtwork extends Versioned, Artwork {
  readonly name: string;
  /** The state of a feature that says an issue left with it; null where it belongs to none. */
  readonly featureStateId: string | null;
  readonly sizeFrom: ArtworkSize;
  /** Along which it is cut out of clear film: round its ink, a rim away. */
  readonly cutLine: readonly Point[];
  /** Along which it is cut out of white film: on the ink's own edge, so that no white is seen. */
  readonly inkLine: readonly Point[];
  readonly inks: readonly InkShare[];
  /** What of the piece within its ink's own outline is not printed, 0 to 1. */
  readonly bareShare: number;
  readonly note: string;
}

/** Of a planned decal: which artwork it is, and how often it is wanted. */
export interface DecalPlan extends Versioned {
  /** The planned layer that it is. */
  readonly layerId: string;
  readonly artworkId: string | null;
  /** In one set: the same on both sides is two. */
  readonly copies: number;
  /** The panel it is for, as somebody measured it; null: as the drawing has it. */
  readonly panel: MeasuredPanel | null;
}

/** Both with one spread, mm. */
export interface MeasuredPanel {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly sdMm: number;
  /** Paint that should be seen round the decal: 0 where it fills a band. */
  readonly marginMm: number;
}
