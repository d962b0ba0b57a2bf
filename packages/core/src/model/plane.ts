/** A place in a picture, px, or in a plane, mm. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A pixel whose place in the plane is known. */
export interface ControlPoint {
  readonly pixel: Point;
  readonly mm: Point;
}
