import { computeLuminance } from '../facts/chooseTreatment.ts';

/** The gun from one paint to the next, minutes (planning estimate). */
export const RINSE_MIN = 6;

/** A coat that may be sprayed now. */
export interface SprayableCoat {
  /** What goes into the gun. */
  readonly paint: string;
  /** When the window for it shuts, ms since 1970; null where it stays open. */
  readonly until: number | null;
  readonly colourHex: string;
}

/** All that is sprayed out of one filling. */
export interface GunRun<C extends SprayableCoat> {
  readonly paint: string;
  readonly coats: readonly C[];
  /** The gun is rinsed before it: something else was in it. */
  readonly isRinsedBefore: boolean;
}

/**
 * What may be sprayed now, of all models, with the gun rinsed as seldom as can be: once between two paints, and not at all before
 * what is in it already. Then what shuts first comes first, then the lighter one.
 *
 * @param holds what is in the gun; empty where it is clean
 */
export function planGunRuns<C extends SprayableCoat>(coats: readonly C[], holds: string): GunRun<C>[] {
  const runs = new Map<string, C[]>();
  for (const coat of coats) runs.set(coat.paint, [...(runs.get(coat.paint) ?? []), coat]);
  const shuts = (run: readonly C[]) => Math.min(...run.map(({ until }) => until ?? Infinity));
  const light = (run: readonly C[]) => Math.max(...run.map(({ colourHex }) => computeLuminance(colourHex)));
  const compare = (a: number, b: number) => (a < b ? -1 : a > b ? 1 : 0);
  return [...runs]
    .sort(
      ([a, first], [b, second]) =>
        Number(b === holds) - Number(a === holds) ||
        compare(shuts(first), shuts(second)) ||
        compare(light(second), light(first)),
    )
    .map(([paint, own], i) => ({ paint, coats: own, isRinsedBefore: i > 0 || (holds !== '' && holds !== paint) }));
}
