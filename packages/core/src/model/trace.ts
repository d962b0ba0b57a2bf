import type { Anchor, DrawingShape, DrawingView, JointPlace, Surface, ViewKind } from './drawing.ts';
import type { Point } from './plane.ts';

/** How the line goes through a node: a corner, a smooth bend, or the middle of an arc between its two neighbours. */
export const BENDS = ['corner', 'smooth', 'arc'] as const;
export type Bend = (typeof BENDS)[number];

export interface TraceNode extends Point {
  readonly bend: Bend;
}

/** A circle is laid through its first three nodes. */
export const TRACE_LINES = ['outline', 'circle'] as const;
export type TraceLine = (typeof TRACE_LINES)[number];

/** What can be traced; marks in shade and light are drawn by hand elsewhere and brought in as artwork. */
export const TRACED_SURFACES = [
  'coat',
  'glass',
  'rubber',
  'metal',
  'dark',
  'line',
] as const satisfies readonly Surface[];
export type TracedSurface = (typeof TRACED_SURFACES)[number];

/** One closed line of a part, in the drawing's millimetres. */
export interface TracedShape {
  readonly partKey: string;
  readonly surface: TracedSurface;
  readonly line: TraceLine;
  /** Name of the area that it bounds where the part carries more than one colour ("grille"); empty for the part itself. */
  readonly area: string;
  /** Only one half is traced, the other is its mirror image over the middle of the view. */
  readonly isMirrored: boolean;
  readonly nodes: readonly TraceNode[];
}

/** Where a straightened photograph lies under the drawing: its plane's mm, turned, scaled, perhaps mirrored, and moved. */
export interface PhotoFit {
  readonly photoId: string;
  /** x = a u - m b v + dx, y = b u + m a v + dy for a point (u, v) of the plane; m is -1 where it is mirrored. */
  readonly a: number;
  readonly b: number;
  readonly dx: number;
  readonly dy: number;
  readonly isMirrored: boolean;
}

/** A trace with the view that it took the place of: parts without a line keep their shapes of it. */
export interface KeptTrace extends Trace {
  readonly under: DrawingView;
}

/** The views of a casting that somebody traced. */
export type Traces = Partial<Readonly<Record<ViewKind, KeptTrace>>>;

/** One view of a casting as somebody traced it, finished or not. */
export interface Trace {
  readonly view: ViewKind;
  readonly widthMm: number;
  readonly heightMm: number;
  /** Where the corner of the view that it takes the place of lies in it, mm: moved by what was traced beyond that corner. */
  readonly underAt: Point;
  readonly photo: PhotoFit | null;
  /** Back to front. */
  readonly shapes: readonly TracedShape[];
  /** Shapes that came from a file of one's own, in front of what is traced. */
  readonly artwork: readonly DrawingShape[];
  readonly anchors: readonly Anchor[];
  readonly joints: readonly JointPlace[];
}
