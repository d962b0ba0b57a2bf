import { solveLinear } from './solveLinear.ts';

/**
 * Weighted least squares by the normal equations: coefficients that bring rows times coefficients nearest to the right side.
 * Missing weights count 1. Terms that the rows cannot tell apart share what they explain (a ridge of a billionth); null when
 * nothing is known of a term.
 */
export function leastSquares(
  rows: readonly (readonly number[])[],
  right: readonly number[],
  weights: readonly number[],
): number[] | null {
  const n = rows[0]!.length;
  const system = Array.from({ length: n }, () => new Array<number>(n + 1).fill(0));
  rows.forEach((row, i) => {
    const weight = weights[i] ?? 1;
    for (let p = 0; p < n; p++) {
      for (let q = 0; q < n; q++) system[p]![q]! += weight * row[p]! * row[q]!;
      system[p]![n]! += weight * row[p]! * right[i]!;
    }
  });
  for (let p = 0; p < n; p++) system[p]![p]! *= 1 + 1e-9;
  return solveLinear(system);
}
