/**
 * Solves a square system by Gauss with partial pivoting. `rows` holds each row with its right side at the end and is used up.
 * null when the system has no single solution.
 */
export function solveLinear(rows: number[][]): number[] | null {
  const n = rows.length;
  for (let column = 0; column < n; column++) {
    let pivot = column;
    for (let row = column + 1; row < n; row++)
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = row;
    const lead = rows[pivot]!;
    if (Math.abs(lead[column]!) < 1e-300) return null;
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
  return x.every(Number.isFinite) ? x : null;
}
