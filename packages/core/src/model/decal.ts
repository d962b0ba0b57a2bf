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

/** An artwork that is kept, for every job that wants it. */
export interface DecalArtwork extends Versioned, Artwork {
  readonly name: string;
  /** The state of a feature that says an issue left with it; null where it belongs to none. */
  readonly featureStateId: string | null;
  /** How the size is known. */
  readonly sizeFrom: string;
  /** Along which it is cut, by the artwork itself. */
  readonly cutLine: readonly Point[];
  readonly note: string;
}
