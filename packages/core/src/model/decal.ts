import type { Versioned } from './catalogue.ts';
import type { ViewKind } from './drawing.ts';
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
export const ARTWORK_SIZES = ['units of the file', 'px of the file', 'typed', 'traced'] as const;
export type ArtworkSize = (typeof ARTWORK_SIZES)[number];

/** One line, area or text of a decal that was traced, over what lies before it; millimetres from its own corner, y down. */
export type DrawnElement =
  | {
      readonly kind: 'area' | 'line';
      /** Corners, and bends between two of them: there the line is the arc through all three. */
      readonly points: readonly DrawnPoint[];
      readonly ink: string;
      /** Of a line. */
      readonly strokeMm: number;
    }
  | {
      readonly kind: 'text';
      readonly text: string;
      /** Where its ink begins on the left, and the line that it stands on. */
      readonly x: number;
      readonly y: number;
      /** Of a capital letter. */
      readonly heightMm: number;
      /** Its ink drawn together or apart to this width; null: as the font has it. */
      readonly widthMm: number | null;
      readonly isBold: boolean;
      readonly ink: string;
    };

export interface DrawnPoint extends Point {
  readonly isBend: boolean;
}

/** A decal as somebody traced it. */
export interface DrawnDecal {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly elements: readonly DrawnElement[];
}

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
  /** What it was traced as, to go on with; null for one that came as a file. */
  readonly drawn: DrawnDecal | null;
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
  /** Where it was tried on the drawing; null: in the middle of its panel. */
  readonly place: DecalPlace | null;
}

/** Where the middle of a decal lies on a view of its casting's drawing, mm, y down. On the other side it is the mirror image of that. */
export interface DecalPlace {
  readonly view: ViewKind;
  readonly x: number;
  readonly y: number;
  /** Clockwise as the view is seen. */
  readonly turnDegrees: number;
}

/** How a supplier's sheet is: true of it or not, null where nobody looked. */
export interface DecalRating {
  readonly isSharp: boolean | null;
  readonly isInRegister: boolean | null;
  readonly isWhiteDense: boolean | null;
  readonly releasesWell: boolean | null;
  readonly note: string;
}

/** Both with one spread, mm. */
export interface MeasuredPanel {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly sdMm: number;
  /** Paint that should be seen round the decal: 0 where it fills a band. */
  readonly marginMm: number;
}
