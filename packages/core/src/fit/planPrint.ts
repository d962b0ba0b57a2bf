import type { MeshSize } from '../model/mesh.ts';
import { computeScale } from '../mesh/scaleMesh.ts';
import type { WantedSize } from '../model/print.ts';
import type { Shrink } from './learnShrink.ts';
import type { Reading } from './reading.ts';

type Triple = readonly [x: number, y: number, z: number];

/** Thinner than this a wall of resin breaks when it is handled (planning estimate). */
const LEAST_WALL_MM = 0.5;
/** Scaled along one axis by so much more than along another, what is round in it is not round any more. */
const MOST_STRETCH = 0.02;

export type PrintTrouble = 'not closed' | 'inside out' | 'thin wall' | 'stretched' | 'nothing asked';

export interface PrintPlan {
  /** By what the file is made larger, along each axis. */
  readonly scale: Triple;
  /** As the scaled file has it. */
  readonly inFile: Triple;
  /** As it is likely to be when it has cured. */
  readonly cured: readonly [Reading, Reading, Reading];
  /** When it has cured; null where no wall was met. */
  readonly thinnestMm: number | null;
  readonly troubles: readonly PrintTrouble[];
}

/**
 * How a mesh is scaled so that it comes out as it was measured: along each axis that was, and as much along the others on the mean.
 *
 * @param wanted as it is to be when it has cured
 */
export function planPrint(
  { size, thinnest, isClosed, isInsideOut }: MeshSize,
  wanted: WantedSize,
  shrink: Shrink,
): PrintPlan {
  const own = wanted.map((mm, axis) => (mm === null ? null : computeScale(mm, size[axis]!, shrink.share)));
  const known = own.filter((scale) => scale !== null);
  const mean = known.length ? known.reduce((sum, scale) => sum + scale, 0) / known.length : 1 / (1 - shrink.share);
  const scale = own.map((one) => one ?? mean) as unknown as Triple;
  const inFile = size.map((mm, axis) => mm * scale[axis]!) as unknown as Triple;
  const cure = (mm: number): Reading => ({ mm: mm * (1 - shrink.share), sd: mm * shrink.sd });
  // Nobody knows along which axis the wall lies: the least.
  const thinnestMm = thinnest && thinnest.mm * Math.min(...scale) * (1 - shrink.share);
  const stretch = Math.max(...scale) / Math.min(...scale) - 1;
  const troubles: readonly (readonly [PrintTrouble, boolean])[] = [
    ['not closed', !isClosed],
    ['inside out', isInsideOut],
    ['thin wall', thinnestMm !== null && thinnestMm < LEAST_WALL_MM],
    ['stretched', stretch > MOST_STRETCH],
    ['nothing asked', known.length === 0],
  ];
  return {
    ...{ scale, inFile, thinnestMm },
    cured: [cure(inFile[0]), cure(inFile[1]), cure(inFile[2])],
    troubles: troubles.flatMap(([trouble, isThere]) => (isThere ? [trouble] : [])),
  };
}
