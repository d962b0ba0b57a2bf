import type { PaintProduct } from '../model/work.ts';
import { addEstimates, computeUpper, multiplyEstimates, type Estimate } from './estimate.ts';

/** How a coat is put on. */
export const COATING_WAYS = ['airbrush', 'can', 'brush', 'powder'] as const;
export type CoatingWay = (typeof COATING_WAYS)[number];

/** What lands on the part of what leaves the gun, and what stays in cup and line each time it is filled (planning estimates). */
export const COATING: Readonly<Record<CoatingWay, { readonly transfer: Estimate; readonly lossMl: Estimate }>> = {
  airbrush: { transfer: { value: 0.5, relativeSd: 0.25 }, lossMl: { value: 0.5, relativeSd: 0.4 } },
  can: { transfer: { value: 0.3, relativeSd: 0.3 }, lossMl: { value: 0, relativeSd: 0 } },
  brush: { transfer: { value: 0.95, relativeSd: 0.03 }, lossMl: { value: 0.1, relativeSd: 0.5 } },
  // First-pass yield: what falls beside is not gathered up again.
  powder: { transfer: { value: 0.45, relativeSd: 0.25 }, lossMl: { value: 0, relativeSd: 0 } },
};

/** Share of a paint's volume that stays when it has dried, as it comes out of the pot (planning estimates until its sheet says). */
export const SOLIDS: Readonly<Record<PaintProduct['binder'], Estimate>> = {
  enamel: { value: 0.45, relativeSd: 0.12 },
  acrylic: { value: 0.35, relativeSd: 0.15 },
  lacquer: { value: 0.25, relativeSd: 0.2 },
  ink: { value: 0.08, relativeSd: 0.3 },
  powder: { value: 1, relativeSd: 0 },
};

/** A hand does not lay a film as thick as it is meant to be. */
const FILM_SD = 0.2;

export interface CoatsToPour {
  /** Square centimetres. */
  readonly area: Estimate;
  readonly way: CoatingWay;
  /** Dry film of one coat, micrometres. */
  readonly filmUm: number;
  readonly coats: number;
  readonly solids: Estimate;
  /** Parts of thinner to one part of paint. */
  readonly thinner: number;
  /** How often the cup is filled for it; what stays in it is lost each time. */
  readonly fillings: number;
}

/** Paint out of the pot, ml. */
export interface PaintVolume {
  readonly ml: number;
  readonly sd: number;
  /** Enough in nine of ten cases. */
  readonly upper90: number;
}

/**
 * Paint to pour: coats * area * film / (solids * transfer), and its share of what stays in the cup, which is thinned. Solids go
 * by volume, not by weight.
 */
export function computeVolume({ area, way, filmUm, coats, solids, thinner, fillings }: CoatsToPour): PaintVolume {
  const { transfer, lossMl } = COATING[way];
  // A square centimetre under one micrometre is a ten-thousandth of a millilitre.
  const film = { value: coats * filmUm * 1e-4, relativeSd: FILM_SD };
  const laid = multiplyEstimates([area, film], [solids, transfer]);
  const lost = { ...lossMl, value: (fillings * lossMl.value) / (1 + thinner) };
  const poured = addEstimates([laid, lost]);
  return {
    ml: poured.value,
    sd: poured.value * poured.relativeSd,
    upper90: computeUpper(poured, 0.9),
  };
}

/** Grams of powder for an area: it has no solvent, and its density stands for its solids. */
export function computePowder(area: Estimate, filmUm: number, densityGPerMl: number): PaintVolume {
  const { ml, sd, upper90 } = computeVolume({
    ...{ area, filmUm, way: 'powder', coats: 1, solids: SOLIDS.powder, thinner: 0, fillings: 0 },
  });
  return { ml: ml * densityGPerMl, sd: sd * densityGPerMl, upper90: upper90 * densityGPerMl };
}
