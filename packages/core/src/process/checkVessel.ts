import { InvalidInputError } from '../model/errors.ts';

export interface Vessel {
  /** Inside, mm. A round vessel has its diameter as both. */
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly isRound: boolean;
}

export interface Dipped {
  /** The box it takes up, lying as it will lie, mm. */
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  /** Metal or plastic of it, ml: what it pushes aside. */
  readonly volumeMl: number;
}

export interface VesselCheck {
  readonly isCovered: boolean;
  /** Of the liquor with everything in it, mm. */
  readonly levelMm: number;
  /** To pour so that everything is covered, ml; null when the vessel cannot hold that. */
  readonly pourMl: number | null;
  /** The smallest inside that would do for all of it, mm; null where this one does. */
  readonly leastMm: Pick<Vessel, 'lengthMm' | 'widthMm' | 'depthMm'> | null;
  /** What is wrong, in words. */
  readonly problems: readonly string[];
}

/** Liquor over the highest point, mm; and the share of the vessel left for heat, gas and a hand (planning estimates). */
const COVER_MM = 10;
const HEADSPACE = 0.5;

/**
 * Does a dish or jar cover what goes into it? The liquor rises by what is pushed aside: level = (poured + displaced) / floor
 * area. Several parts lie side by side on the floor.
 *
 * Throws InvalidInputError for sizes that are none.
 */
export function checkVessel(vessel: Vessel, dipped: readonly Dipped[], pouredMl: number): VesselCheck {
  for (const field of ['lengthMm', 'widthMm', 'depthMm'] as const)
    if (!(vessel[field] > 0))
      throw new InvalidInputError('out-of-range', 'Every size of the vessel must be above 0.', field);
  if (!(pouredMl >= 0)) throw new InvalidInputError('out-of-range', 'What is poured must be 0 ml or more.', 'pouredMl');
  const { lengthMm, widthMm, depthMm } = vessel;
  const floorMm2 = vessel.isRound ? (Math.PI * lengthMm * widthMm) / 4 : lengthMm * widthMm;
  const displacedMl = dipped.reduce((sum, one) => sum + one.volumeMl, 0);
  const levelMm = ((pouredMl + displacedMl) * 1000) / floorMm2;
  const highestMm = Math.max(0, ...dipped.map((one) => one.heightMm));
  const neededMm = highestMm + COVER_MM;
  // As finely as anybody measures: a vessel that was reckoned to just do does.
  const mostMm = depthMm * (1 - HEADSPACE) + 1e-6;
  const pourMl = Math.max(0, (neededMm * floorMm2) / 1000 - displacedMl);
  const isCovered = levelMm >= neededMm - 1e-6;
  return {
    isCovered,
    levelMm,
    pourMl: neededMm <= mostMm ? pourMl : null,
    leastMm: dipped.length > 0 && (neededMm > mostMm || !fits(vessel, dipped)) ? findLeast(dipped, neededMm) : null,
    problems: [
      ...(fits(vessel, dipped) ? [] : ['It does not lie flat in there, or not beside the others.']),
      ...(dipped.length > 0 && !isCovered
        ? [
            `The liquor stands ${Math.round(levelMm)} mm high; ${Math.round(neededMm)} mm would cover it by ${COVER_MM} mm.`,
          ]
        : []),
      ...(Math.max(levelMm, dipped.length ? neededMm : 0) > mostMm
        ? ['The vessel is too low: half of it stays free for heat, gas and a hand.']
        : []),
    ],
  };
}

/** One beside the other along their short sides, with as much height again as the liquor needs. */
const findLeast = (dipped: readonly Dipped[], neededMm: number) => ({
  lengthMm: Math.ceil(Math.max(...dipped.map((one) => Math.max(one.lengthMm, one.widthMm)))),
  widthMm: Math.ceil(dipped.reduce((sum, one) => sum + Math.min(one.lengthMm, one.widthMm), 0)),
  depthMm: Math.ceil(neededMm / (1 - HEADSPACE)),
});

/** What a vessel holds to its rim, litres. */
export const computeVesselLitres = ({ lengthMm, widthMm, depthMm, isRound }: Vessel): number =>
  ((isRound ? Math.PI / 4 : 1) * lengthMm * widthMm * depthMm) / 1e6;

/** As much liquor as may stand in a vessel, litres: the rest stays free for heat, gas, a part and a hand. */
export const computeMostLiquor = (vessel: Vessel): number => (1 - HEADSPACE) * computeVesselLitres(vessel);

/** Why so much liquor does not go into a vessel, and which would do; null where it does. */
export function refuseLiquor(vessel: Vessel & { readonly name: string }, litres: number): string | null {
  const most = computeMostLiquor(vessel);
  if (litres <= most + 1e-9) return null;
  const rim = computeVesselLitres(vessel).toFixed(1);
  const wanted = (litres / (1 - HEADSPACE)).toFixed(1);
  return `The ${vessel.name} holds ${rim} l to the rim, and half of it stays free for heat, gas and a hand: at most ${most.toFixed(1)} l go in. ${litres} l want a vessel of ${wanted} l.`;
}

/** Each lies in the vessel, and all floors together are not more than the vessel's. */
function fits({ lengthMm, widthMm, isRound }: Vessel, dipped: readonly Dipped[]): boolean {
  const long = Math.max(lengthMm, widthMm);
  const short = Math.min(lengthMm, widthMm);
  const isEachIn = dipped.every((one) => {
    const [a, b] = [Math.max(one.lengthMm, one.widthMm), Math.min(one.lengthMm, one.widthMm)];
    return isRound ? Math.hypot(a, b) <= short : a <= long && b <= short;
  });
  const floor = isRound ? (Math.PI * long * short) / 4 : long * short;
  return isEachIn && dipped.reduce((sum, one) => sum + one.lengthMm * one.widthMm, 0) <= floor;
}
