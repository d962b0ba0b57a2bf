import type { CoatingLayer } from '../model/workpiece.ts';
import { normalQuantile } from '../numeric/normal.ts';
import { computeStack, FINEST_RELIEF_UM } from './computeStack.ts';

/** The finest relief of an area that must survive, micrometres. */
export interface Relief {
  readonly depthUm: number;
  readonly origin: 'measured' | 'planning estimate';
}

/** What nobody measured. */
export const USUAL_RELIEF: Relief = { depthUm: FINEST_RELIEF_UM, origin: 'planning estimate' };

/** 'rounds': edges of letters soften. 'fills in': they are lost, and only stripping brings them back. */
export type BuildVerdict = 'fine' | 'rounds' | 'fills in';

export interface Build {
  readonly totalUm: number;
  readonly spreadUm: number;
  /** What may still go on before it fills in; never below 0. */
  readonly leftUm: number;
  readonly verdict: BuildVerdict;
}

/** Paint flows off an edge into the hollow: it rounds at half of the depth, and has filled in at four fifths (planning estimates). */
const ROUNDS_AT = 0.5;
const FILLS_AT = 0.8;
/** The careful side: nine in ten films are thinner. */
const NINE_IN_TEN = normalQuantile(0.9);

type Layer = Pick<CoatingLayer, 'thicknessUm' | 'thicknessOrigin'>;

/** All layers of an area with the coats that are to go on, against the relief that must be seen afterwards. */
export function judgeBuild(on: readonly Layer[], next: readonly Layer[], { depthUm }: Relief = USUAL_RELIEF): Build {
  const { totalUm, spreadUm } = computeStack([...on, ...next]);
  const upperUm = totalUm + NINE_IN_TEN * spreadUm;
  const verdict = upperUm >= FILLS_AT * depthUm ? 'fills in' : upperUm >= ROUNDS_AT * depthUm ? 'rounds' : 'fine';
  return { totalUm, spreadUm, leftUm: Math.max(0, FILLS_AT * depthUm - upperUm), verdict };
}
