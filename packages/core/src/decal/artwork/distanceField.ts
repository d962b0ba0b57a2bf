const FAR = 1e20;

/**
 * Of each cell the distance to the nearest that is set, in cells between middles (P. F. Felzenszwalb, D. P. Huttenlocher, Distance
 * transforms of sampled functions, Theory of Computing 8, 2012). Infinite where none is set.
 */
export function computeDistances(set: ArrayLike<number>, columns: number, rows: number): Float64Array {
  const squares = Float64Array.from(set, (one) => (one ? 0 : FAR));
  const line = new Float64Array(Math.max(columns, rows));
  const passes = [
    { lines: columns, length: rows, start: 1, step: columns },
    { lines: rows, length: columns, start: columns, step: 1 },
  ];
  for (const { lines, length, start, step } of passes)
    for (let l = 0; l < lines; l++) {
      for (let i = 0; i < length; i++) line[i] = squares[l * start + i * step]!;
      transformLine(line, length, (i, value) => (squares[l * start + i * step] = value));
    }
  return squares.map((one) => (one >= FAR / 2 ? Infinity : Math.sqrt(one)));
}

/** The lower envelope of a parabola over each place of a line. */
function transformLine(f: Float64Array, length: number, put: (i: number, value: number) => void): void {
  const vertices = new Int32Array(length);
  const bounds = new Float64Array(length + 1);
  let last = 0;
  [bounds[0], bounds[1]] = [-Infinity, Infinity];
  for (let q = 1; q < length; q++) {
    let cut = meet(f, q, vertices[last]!);
    while (cut <= bounds[last]!) cut = meet(f, q, vertices[--last]!);
    last++;
    vertices[last] = q;
    [bounds[last], bounds[last + 1]] = [cut, Infinity];
  }
  for (let q = 0, k = 0; q < length; q++) {
    while (bounds[k + 1]! < q) k++;
    put(q, (q - vertices[k]!) ** 2 + f[vertices[k]!]!);
  }
}

const meet = (f: Float64Array, q: number, p: number): number => (f[q]! + q * q - (f[p]! + p * p)) / (2 * q - 2 * p);
