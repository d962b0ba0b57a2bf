import type { Lab } from '../colorimetry.ts';
import { computeDe00 } from '../difference.ts';
import type { MixState } from './replayMix.ts';

/** One patch on the way to a colour. */
export interface PathPoint {
  /** In the cup when it was painted, ml. */
  readonly ml: number;
  /** CIEDE2000 from the target. */
  readonly de: number;
  readonly how: MixState['patches'][number]['reading']['how'];
}

/** How near each patch of a mix came, in the order in which they were painted. No patch, no point. */
export const listPatchPath = ({ patches }: Pick<MixState, 'patches'>, target: Lab): PathPoint[] =>
  patches.map(({ volumes, reading }) => ({
    ml: volumes.reduce((sum, one) => sum + one, 0),
    de: computeDe00(target, reading.lab),
    how: reading.how,
  }));
