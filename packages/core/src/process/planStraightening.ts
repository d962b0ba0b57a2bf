import { traitsOf } from '../model/material.ts';
import { isMaterial, letsGoInHeat, type TreatedMaterial } from '../model/process.ts';

export interface BendQuestion {
  /** All that is in the part and on it. */
  readonly materials: readonly TreatedMaterial[];
  /** How far it is off, degrees; null where nobody measured it. */
  readonly degrees: number | null;
  /** It stays in one piece with others. */
  readonly isJoined: boolean;
  readonly isCold: boolean;
}

export type BendPlan =
  | {
      readonly kind: 'steps';
      readonly isWarm: boolean;
      readonly steps: number;
      readonly stepDegrees: number;
      readonly how: readonly string[];
    }
  | { readonly kind: 'refused'; readonly reason: string };

/** Planning estimates, on the careful side. */
export const BENDING = {
  warmStepDegrees: 2,
  coldStepDegrees: 0.5,
  mostColdDegrees: 2,
  /** Where nobody measured it. */
  usualDegrees: 4,
  fromC: 100,
  stopC: 150,
} as const;

/**
 * Little by little, with what is looked at between two steps. Zinc bends warm under light tension; lead and thin sheet by
 * hand, cold. Refused where heat or force would break or melt what is in the part.
 */
export function planStraightening({ materials, degrees, isJoined, isCold }: BendQuestion): BendPlan {
  const [own] = materials;
  const refused = (reason: string): BendPlan => ({ kind: 'refused', reason });
  if (materials.includes('pest-suspect zinc')) return refused('zinc with signs of pest crumbles: no heat, no clamp');
  const far = degrees ?? BENDING.usualDegrees;
  const bends = isMaterial(own) ? traitsOf(own).bends : null;
  if (bends === 'cold')
    return createSteps(false, far, BENDING.warmStepDegrees, [
      'By hand over a rounded wooden block, never hot: it is soft enough.',
      'Gloves, and wash hands after lead alloy. Edges of sheet cut.',
    ]);
  if (bends === null) return refused(`${own ?? 'it'} is replaced, not straightened`);
  if (isCold) {
    if (far > BENDING.mostColdDegrees)
      return refused(
        `${format(far)}° is more than cold zinc stands: it cracks beyond about ${BENDING.mostColdDegrees}° (planning estimate)`,
      );
    return createSteps(false, far, BENDING.coldStepDegrees, [
      'Padded jaws, a quarter turn, let it rest a minute. Cold zinc cracks without warning: stop at the first line.',
    ]);
  }
  const melts = materials.find(letsGoInHeat);
  if (melts) return refused(`${melts} in it does not stand the heat`);
  if (isJoined) return refused('it is joined to other parts, and what is bent warm is bent alone');
  return createSteps(true, far, BENDING.warmStepDegrees, [
    'Bare metal, all plastic out, light tension in padded jaws, contact probe on the metal. Thin pillars heat first.',
    `Hot air moving, ${BENDING.fromC} to ${BENDING.stopC} °C (planning estimate), never above: hotter, it is brittle again.`,
    'Let it cool in air under tension. Cold zinc cracks.',
  ]);
}

function createSteps(isWarm: boolean, far: number, stepDegrees: number, how: readonly string[]): BendPlan {
  const steps = Math.max(1, Math.ceil(far / stepDegrees - 1e-9));
  return {
    kind: 'steps',
    isWarm,
    steps,
    stepDegrees,
    how: [
      ...how,
      `About ${steps} ${steps === 1 ? 'step' : 'steps'} of at most ${format(stepDegrees)}° for ${format(far)}°; after each look for a new line at the bend and lay it on the flat plate.`,
    ],
  };
}

const format = (degrees: number) => String(Math.round(degrees * 10) / 10);
