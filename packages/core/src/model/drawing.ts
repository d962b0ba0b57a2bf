/** Drawings are data: one closed path per visible piece of a part, in millimetres, y downwards. */
export const VIEW_KINDS = ['side', 'base', 'end'] as const;
export type ViewKind = (typeof VIEW_KINDS)[number];

/** How a shape is filled: with the part's own coat, or as the bare stuff it is made of. */
export const SURFACES = ['coat', 'glass', 'rubber', 'metal', 'dark', 'shade', 'light', 'line'] as const;
export type Surface = (typeof SURFACES)[number];

/** [left, top, right, bottom] in millimetres. */
export type Box = readonly [number, number, number, number];

export interface DrawingShape {
  readonly partKey: string;
  readonly surface: Surface;
  /** Name of the mask this shape belongs to when the part carries more than one colour outside. */
  readonly mask?: string;
  /** SVG path data. */
  readonly d: string;
  readonly box: Box;
  /** Inside the model: drawn on the part map only. */
  readonly hidden?: boolean;
}

export interface Anchor {
  readonly featureKey: string;
  readonly x: number;
  readonly y: number;
}

/** Where a joint is seen: the head of a post, a tab. */
export interface JointPlace {
  readonly jointKey: string;
  readonly x: number;
  readonly y: number;
}

export interface DrawingView {
  readonly view: ViewKind;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly shapes: readonly DrawingShape[];
  readonly anchors: readonly Anchor[];
  /** Absent where nobody placed any. */
  readonly joints?: readonly JointPlace[];
}

export interface Drawing {
  readonly views: readonly DrawingView[];
}
