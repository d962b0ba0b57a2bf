import { judgePart } from './judgePart.ts';
import type { TreatedMaterial } from '../model/process.ts';

export const BAKES = ['low bake', 'powder'] as const;
export type Bake = (typeof BAKES)[number];

/** Metal temperatures, °C (planning estimates; the product's sheet goes first). */
export const BAKE_C: Readonly<Record<Bake, number>> = { 'low bake': 60, powder: 180 };

/** Until the metal has the oven's temperature, at it, and cooling until it may be touched; minutes (planning estimates). */
export const BAKE_MIN = { warm: 15, hold: 10, cool: 30 } as const;

export interface BakeAdvice {
  readonly refusals: readonly string[];
  /** Hottest that the metal may become, °C; null when it is refused. */
  readonly mostC: number | null;
}

/**
 * May a part be baked? Everything in it and on it is asked, so that every reason is heard and not only the first. A low bake
 * follows the weakest adhesive in it; nothing glued, filled or soldered stands the powder's.
 */
export function adviseBake(materials: readonly TreatedMaterial[], bake: Bake, isJoined: boolean): BakeAdvice {
  const process = bake === 'powder' ? 'powder bake' : 'oven';
  const refusals = materials.flatMap((material) => {
    const { verdict, reason } = judgePart([material], process, { atC: BAKE_C[bake] });
    return verdict === 'never' ? [`${material}: ${reason}`] : [];
  });
  const all = [
    ...refusals,
    ...(isJoined ? ['a closed joint is never baked: what is caught in the seam boils out'] : []),
  ];
  return {
    refusals: all,
    mostC: all.length ? null : Math.min(BAKE_C[bake], judgePart(materials, process).mostC ?? Infinity),
  };
}

/** What must be answered before the oven is switched on. */
export const OVEN_QUESTIONS = [
  'Is it an oven that never sees food again?',
  'Does the dial say °C, and does the contact probe agree?',
  'Is nothing in it that does not stand this heat: no plastic, solder, tin, and no glue or filler beyond its own sheet?',
  'Is all solvent out: dry for as long as the sheet says, no smell left?',
] as const;
