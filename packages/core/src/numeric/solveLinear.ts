/** A pivot smaller than this, of a system whose rows and columns reach 1, is rounding and no number. */
const TOLERANCE = 1e-13;

/**
 * Solves a square system by Gauss with partial pivoting. `rows` holds each row with its right side at the end and is used up.
 * null when the system has no single solution. Columns and rows are scaled to a largest entry of 1 first, so that what counts
 * as no solution does not hang on the units of the unknowns or of the equations.
 */
export function solveLinear(rows: number[][]): number[] | null {
  const n = rows.length;
  const units = rows.map((_, column) => Math.max(...rows.map((row) => Math.abs(row[column]!))));
  for (const row of rows) {
    for (let i = 0; i < n; i++) row[i]! /= units[i]! || 1;
    const largest = Math.max(...row.slice(0, n).map(Math.abs));
    for (let i = 0; i <= n; i++) row[i]! /= largest || 1;
  }
  for (let column = 0; column < n; column++) {
    let pivot = column;
    for (let row = column + 1; row < n; row++)
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = row;
    const lead = rows[pivot]!;
    if (!(Math.abs(lead[column]!) > TOLERANCE)) return null;
    rows[pivot] = rows[column]!;
    rows[column] = lead;
    for (let row = column + 1; row < n; row++) {
      const other = rows[row]!;
      const factor = other[column]! / lead[column]!;
      if (factor === 0) continue;
      for (let i = column; i <= n; i++) other[i]! -= factor * lead[i]!;
    }
  }
  const x = new Array<number>(n).fill(0);
  for (let row = n - 1; row >= 0; row--) {
    let rest = rows[row]![n]!;
    for (let i = row + 1; i < n; i++) rest -= rows[row]![i]! * x[i]!;
    x[row] = rest / rows[row]![row]!;
  }
  const solution = x.map((one, i) => one / units[i]!);
  return solution.every(Number.isFinite) ? solution : null;
}
