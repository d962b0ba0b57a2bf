/** The least way through the material of a part. */
export interface ThinWall {
  readonly mm: number;
  /** Where it was met, on the outer face. */
  readonly at: readonly [x: number, y: number, z: number];
}

/** What is measured of a mesh. */
export interface MeshSize {
  readonly triangles: number;
  /** Millimetres along x, y and z. */
  readonly size: readonly [x: number, y: number, z: number];
  readonly areaCm2: number;
  /** Cubic centimetres; null where it is not closed: what it holds is nobody's guess. */
  readonly volumeCm3: number | null;
  /** Every edge lies between two triangles that run against each other. */
  readonly isClosed: boolean;
  /** Edges that do not. */
  readonly openEdges: number;
  /** Its faces look inwards. */
  readonly isInsideOut: boolean;
  /** null where it is not closed, or no wall was met. */
  readonly thinnest: ThinWall | null;
}
