import svgpath from 'svgpath';

const PIECES = 24;

/** What a closed path encloses, square millimetres; holes that run the other way round are left out (Green's theorem). */
export function computeOutlineArea(d: string): number {
  let area = 0;
  let start: readonly [number, number] = [0, 0];
  let at: readonly [number, number] = [0, 0];
  const goTo = (to: readonly [number, number]) => {
    area += (at[0] * to[1] - to[0] * at[1]) / 2;
    at = to;
  };
  svgpath(d)
    .abs()
    .unshort()
    .unarc()
    .iterate(([name, ...numbers]) => {
      const n = numbers as number[];
      if (name === 'M')
        [start, at] = [
          [n[0]!, n[1]!],
          [n[0]!, n[1]!],
        ];
      else if (name === 'L') goTo([n[0]!, n[1]!]);
      else if (name === 'H') goTo([n[0]!, at[1]]);
      else if (name === 'V') goTo([at[0], n[0]!]);
      else if (name === 'C') flattenCurve([at, [n[0]!, n[1]!], [n[2]!, n[3]!], [n[4]!, n[5]!]]).forEach(goTo);
      else if (name === 'Q') flattenCurve([at, [n[0]!, n[1]!], [n[2]!, n[3]!]]).forEach(goTo);
      else goTo(start);
    });
  goTo(start);
  return Math.abs(area);
}

/** Points along a Bézier curve, its beginning left out (de Casteljau). */
function flattenCurve(points: readonly (readonly [number, number])[]): (readonly [number, number])[] {
  return Array.from({ length: PIECES }, (_, i) => {
    const t = (i + 1) / PIECES;
    let rest = points;
    while (rest.length > 1)
      rest = rest
        .slice(1)
        .map(([x, y], j) => [rest[j]![0] + t * (x - rest[j]![0]), rest[j]![1] + t * (y - rest[j]![1])] as const);
    return rest[0]!;
  });
}
