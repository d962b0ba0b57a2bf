import { InvalidInputError } from '../model/errors.ts';
import { solveLinear } from '../numeric/solveLinear.ts';
import { BANDS } from './cieTables.ts';
import { computeXyz, convertLabToXyz, WEIGHTS, type Lab, type Xyz } from './colorimetry.ts';

const MOST_STEPS = 60;
const CLOSE_ENOUGH = 1e-9;

/**
 * The smoothest reflectance within 0 and 1 that has a given colour under D65: least sum of squared slopes of z, where the
 * reflectance is (tanh z + 1) / 2, under the three conditions that it gives that XYZ. Newton on the Lagrange conditions.
 * For paints of which only the colour is known: lower trust.
 *
 * Throws InvalidInputError for a colour that no reflectance gives. Source: S. A. Burns, Color Research & Application 2020.
 */
function reconstructReflectance(xyz: Xyz): Float64Array {
  const weights = WEIGHTS.D65;
  const rows = [weights.x, weights.y, weights.z];
  const z = new Float64Array(BANDS);
  const lambda = [0, 0, 0];
  for (let step = 0; step < MOST_STEPS; step++) {
    const r = Float64Array.from(z, (one) => (Math.tanh(one) + 1) / 2);
    const slope = Float64Array.from(z, (one) => 1 / (2 * Math.cosh(one) ** 2));
    const bend = Float64Array.from(z, (one, i) => -2 * slope[i]! * Math.tanh(one));
    const now = computeXyz(r);
    const pull = Float64Array.from(z, (_, i) => rows.reduce((sum, row, c) => sum + lambda[c]! * row[i]!, 0));
    const gradient = Float64Array.from(z, (_, i) => smoothGradient(z, i) + pull[i]! * slope[i]!);
    const off = now.map((one, c) => one - xyz[c]!);
    if (Math.max(...gradient.map(Math.abs)) < 1e-7 && Math.max(...off.map(Math.abs)) < CLOSE_ENOUGH * 100) return r;
    const system = createSystem(rows, slope, bend, pull, gradient, off);
    const change = solveLinear(system);
    if (!change) break;
    // Half a step where a whole one would run away.
    const largest = Math.max(...change.slice(0, BANDS).map(Math.abs));
    const damp = largest > 2 ? 2 / largest : 1;
    for (let i = 0; i < BANDS; i++) z[i]! += damp * change[i]!;
    for (let c = 0; c < 3; c++) lambda[c]! += damp * change[BANDS + c]!;
  }
  throw new InvalidInputError('no-reflectance', 'No paint can have this colour: it is too bright for its hue.', 'lab');
}

export const reconstructFromLab = (lab: Lab): Float64Array => reconstructReflectance(convertLabToXyz(lab));

/** Slope of the sum of squared differences of neighbours. */
function smoothGradient(z: Float64Array, i: number): number {
  const left = i > 0 ? z[i]! - z[i - 1]! : 0;
  const right = i < BANDS - 1 ? z[i]! - z[i + 1]! : 0;
  return 2 * (left + right);
}

function createSystem(
  rows: readonly Float64Array[],
  slope: Float64Array,
  bend: Float64Array,
  pull: Float64Array,
  gradient: Float64Array,
  off: readonly number[],
): number[][] {
  const size = BANDS + 3;
  const system: number[][] = [];
  for (let i = 0; i < BANDS; i++) {
    const row = new Array<number>(size + 1).fill(0);
    row[i] = (i === 0 || i === BANDS - 1 ? 2 : 4) + pull[i]! * bend[i]!;
    if (i > 0) row[i - 1] = -2;
    if (i < BANDS - 1) row[i + 1] = -2;
    rows.forEach((weights, c) => (row[BANDS + c] = weights[i]! * slope[i]!));
    row[size] = -gradient[i]!;
    system.push(row);
  }
  rows.forEach((weights, c) => {
    const row = new Array<number>(size + 1).fill(0);
    for (let i = 0; i < BANDS; i++) row[i] = weights[i]! * slope[i]!;
    row[size] = -off[c]!;
    system.push(row);
  });
  return system;
}
