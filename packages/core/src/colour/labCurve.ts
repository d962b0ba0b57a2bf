/** CIE 1976 (CIE 15:2018, 8.2.1): the cube root, and a straight line near black. */
const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;

/** Of a tristimulus value by the white's. */
export const encodeLab = (t: number): number => (t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116);

/** The way back. */
export const decodeLab = (f: number): number => (f ** 3 > EPSILON ? f ** 3 : (116 * f - 16) / KAPPA);

/** How encodeLab changes with t, where it is f = encodeLab(t). */
export const slopeOfLab = (t: number, f: number): number => (t > EPSILON ? 1 / (3 * f * f) : KAPPA / 116);
