/** One reading of a model, and the number that stands for its place: 1 in the open, less where it is sheltered. */
export interface SeenColour {
  readonly lab: readonly number[];
  readonly sd: readonly number[];
  readonly open: number;
}

export interface TrueState {
  readonly lab: readonly number[];
  readonly sd: readonly number[];
  /** null: as new; otherwise read off a model, in a place that is so open. */
  readonly ofModel: { readonly open: number } | null;
}

export interface TrueSpread {
  readonly batch: number;
  readonly fading: number;
  readonly way: readonly number[];
}

/**
 * ln p(readings | state), written out: all coordinates of all readings are one normal vector with a full covariance matrix;
 * the model's fading is integrated out in closed form (a half-normal times a normal is a normal cut at 0), the fading of the
 * model that the state was read off by Simpson's rule. Shares nothing with the program.
 */
export function exactColourDensity(seen: readonly SeenColour[], state: TrueState, spread: TrueSpread): number {
  const size = 3 * seen.length;
  const covariance = Array.from({ length: size }, (_, i) =>
    Array.from({ length: size }, (__, j) => {
      if (i % 3 !== j % 3) return 0;
      const axis = i % 3;
      const common = spread.batch ** 2 * (state.ofModel ? 2 : 1) + state.sd[axis]! ** 2;
      return common + (i === j ? seen[Math.floor(i / 3)]!.sd[axis]! ** 2 : 0);
    }),
  );
  const offset = Array.from({ length: size }, (_, i) => seen[Math.floor(i / 3)]!.lab[i % 3]! - state.lab[i % 3]!);
  const along = Array.from({ length: size }, (_, i) => seen[Math.floor(i / 3)]!.open * spread.way[i % 3]!);
  const { solve, lnDeterminant } = factorize(covariance);
  const solvedAlong = solve(along);
  const a = dot(along, solvedAlong) + 1 / spread.fading ** 2;
  const lnAt = (x: readonly number[]): number => {
    const b = dot(solvedAlong, x);
    const z = b / Math.sqrt(a);
    return (
      -0.5 * (dot(x, solve(x)) + lnDeterminant + size * Math.log(2 * Math.PI)) +
      Math.log(2 / spread.fading) -
      0.5 * Math.log(a) +
      z ** 2 / 2 +
      lnNormalBelow(z)
    );
  };
  if (!state.ofModel) return lnAt(offset);
  const { open } = state.ofModel;
  const steps = 60;
  const width = (5 * spread.fading) / steps;
  const terms = Array.from({ length: steps + 1 }, (_, i) => {
    const faded = i * width;
    const shifted = offset.map((value, j) => value + open * spread.way[j % 3]! * faded);
    const weight = (i === 0 || i === steps ? 1 : i % 2 ? 4 : 2) * (width / 3);
    const half = Math.log(2 / (spread.fading * Math.sqrt(2 * Math.PI))) - faded ** 2 / (2 * spread.fading ** 2);
    return Math.log(weight) + half + lnAt(shifted);
  });
  const top = Math.max(...terms);
  return top + Math.log(terms.reduce((sum, term) => sum + Math.exp(term - top), 0));
}

const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, value, i) => sum + value * b[i]!, 0);

/** Cholesky. */
function factorize(matrix: readonly (readonly number[])[]) {
  const n = matrix.length;
  const lower = matrix.map(() => new Array<number>(n).fill(0));
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i]![j]!;
      for (let k = 0; k < j; k++) sum -= lower[i]![k]! * lower[j]![k]!;
      lower[i]![j] = i === j ? Math.sqrt(sum) : sum / lower[j]![j]!;
    }
  const solve = (right: readonly number[]): number[] => {
    const x = [...right];
    for (let i = 0; i < n; i++) {
      for (let k = 0; k < i; k++) x[i]! -= lower[i]![k]! * x[k]!;
      x[i]! /= lower[i]![i]!;
    }
    for (let i = n - 1; i >= 0; i--) {
      for (let k = i + 1; k < n; k++) x[i]! -= lower[k]![i]! * x[k]!;
      x[i]! /= lower[i]![i]!;
    }
    return x;
  };
  return { solve, lnDeterminant: 2 * lower.reduce((sum, row, i) => sum + Math.log(row[i]!), 0) };
}

/** ln of the normal integral from minus infinity to z: a series near 0 (Marsaglia 2004), a continued fraction far below. */
function lnNormalBelow(z: number): number {
  const lnBell = -0.5 * z * z - 0.5 * Math.log(2 * Math.PI);
  if (z < -5) {
    let fraction = 0;
    for (let k = 60; k > 0; k--) fraction = k / (-z + fraction);
    return lnBell - Math.log(-z + fraction);
  }
  if (z > 7) return 0;
  let [term, sum] = [z, z];
  for (let k = 3; Math.abs(term) > 1e-17 * Math.abs(sum) && k < 400; k += 2) sum += term *= (z * z) / k;
  return Math.log(0.5 + sum * Math.exp(lnBell));
}
