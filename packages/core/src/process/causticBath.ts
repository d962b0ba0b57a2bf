import { InvalidInputError } from '../model/errors.ts';

/** Sodium hydroxide: heat of solution and molar mass; water: heat capacity per litre. */
const HEAT_KJ_PER_MOL = 44.5;
const GRAMS_PER_MOL = 40.0;
const WATER_KJ_PER_LITRE_K = 4.18;

/** Planning estimates; they may be lowered. */
export const CAUSTIC = {
  usualGramsPerLitre: 50,
  mostGramsPerLitre: 100,
  warnC: 50,
  refuseC: 70,
  /** The vessel holds at least so many times the liquor. */
  leastVesselFactor: 2,
} as const;

export interface CausticBath {
  readonly litres: number;
  readonly gramsPerLitre: number;
  /** Of the cold water, °C. */
  readonly waterC: number;
}

export interface CausticAdvice {
  readonly grams: number;
  /** Highest temperature when all is dissolved at once and no heat is lost, °C: errs high. */
  readonly reachedC: number;
  readonly leastVesselLitres: number;
  /** Why it may not be made so; empty when it may. */
  readonly refusals: readonly string[];
  readonly warnings: readonly string[];
  /** In this order. */
  readonly steps: readonly string[];
}

/**
 * Mass, temperature and order of a caustic bath of pure sodium hydroxide: T = T0 + (g / 40.0 * 44.5 kJ) / (litres * 4.18 kJ/K).
 *
 * Throws InvalidInputError for a volume, strength or temperature that is none.
 */
export function adviseCausticBath({ litres, gramsPerLitre, waterC }: CausticBath): CausticAdvice {
  assertBetween('litres', 'The volume, in litres,', litres, 0.05, 50);
  assertBetween('gramsPerLitre', 'The strength, in grams per litre,', gramsPerLitre, 1, 500);
  assertBetween('waterC', 'The temperature of the water, in °C,', waterC, 0, 60);
  const grams = litres * gramsPerLitre;
  const heatKj = (grams / GRAMS_PER_MOL) * HEAT_KJ_PER_MOL;
  const reachedC = waterC + heatKj / (litres * WATER_KJ_PER_LITRE_K);
  return {
    grams,
    reachedC,
    leastVesselLitres: CAUSTIC.leastVesselFactor * litres,
    refusals: [
      ...(gramsPerLitre > CAUSTIC.mostGramsPerLitre
        ? [`More than ${CAUSTIC.mostGramsPerLitre} g per litre is not made here (planning estimate).`]
        : []),
      ...(reachedC >= CAUSTIC.refuseC
        ? [
            `It would reach ${Math.round(reachedC)} °C, and ${CAUSTIC.refuseC} °C is too hot to handle (planning estimate).`,
          ]
        : []),
    ],
    warnings:
      reachedC >= CAUSTIC.warnC && reachedC < CAUSTIC.refuseC
        ? [`It may reach ${Math.round(reachedC)} °C: begin colder, or add it in more portions.`]
        : [],
    steps: [
      `HDPE or polypropylene vessel of at least ${formatLitres(CAUSTIC.leastVesselFactor * litres)}, labelled, never one for food; never aluminium, zinc, tin or glass.`,
      'Goggles and face shield, long gloves, apron. No flame or spark: zinc gives hydrogen.',
      `${formatLitres(litres)} of cold water first.`,
      `${Math.round(grams)} g of pure sodium hydroxide into the water, little by little, stirred: never water onto crystals. No drain cleaner.`,
      'Lid resting, not closed. Look often; never unattended.',
      'Afterwards plenty of water, then very weak citric acid on the rinsed part only, rinse, dry warm.',
    ],
  };
}

function assertBetween(field: string, what: string, value: number, least: number, most: number): void {
  if (!(value >= least && value <= most))
    throw new InvalidInputError('out-of-range', `${what} must be ${least} to ${most}.`, field, { given: value });
}

const formatLitres = (litres: number) =>
  litres < 1 ? `${Math.round(litres * 1000)} ml` : `${Number(litres.toFixed(2))} l`;
