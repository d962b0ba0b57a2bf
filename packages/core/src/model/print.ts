import type { MeshSize } from './mesh.ts';
import type { Versioned } from './catalogue.ts';

export const MESH_AXES = ['x', 'y', 'z'] as const;
export type MeshAxis = (typeof MESH_AXES)[number];

/** Millimetres along x, y and z; null where it may be as it comes out. */
export type WantedSize = readonly [x: number | null, y: number | null, z: number | null];

/** A part that can be printed: a mesh, and how large it is to be when it has cured. */
export interface Print extends Versioned {
  readonly name: string;
  /** As it was brought. */
  readonly fileName: string;
  /** Of the mesh, as it was brought. */
  readonly size: MeshSize;
  readonly wanted: WantedSize;
  /** What it is printed of: what one resin loses is learned by its name. */
  readonly resin: string;
  readonly note: string;
}

/** A cured copy, measured along one axis. */
export interface PrintMeasure {
  readonly axis: MeshAxis;
  readonly mm: number;
  readonly sdMm: number;
}

/** Copies that were printed together: written once. */
export interface PrintRun {
  readonly id: string;
  readonly printId: string;
  /** ISO 8601. */
  readonly at: string;
  readonly copies: number;
  /** Of what, as the print said then. */
  readonly resin: string;
  /** How it was washed and cured. */
  readonly cure: string;
  /** Lengths that the file had, mm. */
  readonly inFile: readonly [x: number, y: number, z: number];
  readonly measure: PrintMeasure | null;
  /** What all of it cost; null where nobody said. */
  readonly price: number | null;
  /** The want that one copy is for. */
  readonly wantId: string | null;
  /** The thing of the drawers that the others lie with. */
  readonly thingId: string | null;
  readonly who: string;
  readonly note: string;
}
