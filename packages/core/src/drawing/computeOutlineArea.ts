import type { Point } from '../model/plane.ts';
import { flattenPath } from './flattenPath.ts';

/** What a closed path encloses, square millimetres; holes that run the other way round are left out (Green's theorem). */
export const computeOutlineArea = (d: string): number =>
  Math.abs(flattenPath(d).reduce((sum, ring) => sum + enclose(ring), 0));

/** Signed: what runs the other way round counts less than nothing. */
export const enclose = (ring: readonly Point[]): number =>
  ring.reduce((sum, { x, y }, i) => {
    const next = ring[(i + 1) % ring.length]!;
    return sum + (x * next.y - next.x * y) / 2;
  }, 0);
