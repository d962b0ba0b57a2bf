import type { Lab } from '../colorimetry.ts';

/** A dried test patch: what was in the pot then, and what it looks like. */
export interface Patch {
  /** ml of each paint of the recipe. */
  readonly volumes: readonly number[];
  readonly lab: Lab;
  /** Standard deviation of each coordinate. */
  readonly sd: Lab;
  /** What the eye that judged it may always see wrong: it stays however often that eye looks. */
  readonly eyeSd?: Lab;
  /** Somebody called it clearly or strongly off. */
  readonly isOff?: boolean;
  /** As it will probably dry: nothing is called there by that. */
  readonly isWet?: boolean;
}

/** Nothing was poured between the two. */
export function isSameMix(a: Pick<Patch, 'volumes'>, b: Pick<Patch, 'volumes'>): boolean {
  const most = Math.max(a.volumes.length, b.volumes.length);
  for (let i = 0; i < most; i++) if (Math.abs((a.volumes[i] ?? 0) - (b.volumes[i] ?? 0)) > 1e-9) return false;
  return true;
}
