/** Triangles of a box from one corner to the other, faces outwards. */
export function boxMesh(from: readonly number[], to: readonly number[], isInsideOut = false): number[] {
  return [0, 1, 2].flatMap((axis) =>
    [from, to].flatMap((level) => {
      const isFar = level === to;
      const corner = (u: number, v: number): number[] => {
        const point = [0, 0, 0];
        point[axis] = level[axis]!;
        point[(axis + 1) % 3] = u ? to[(axis + 1) % 3]! : from[(axis + 1) % 3]!;
        point[(axis + 2) % 3] = v ? to[(axis + 2) % 3]! : from[(axis + 2) % 3]!;
        return point;
      };
      const square = [corner(0, 0), corner(1, 0), corner(1, 1), corner(0, 1)];
      if (isFar === isInsideOut) square.reverse();
      const [a, b, c, d] = square;
      return [a!, b!, c!, a!, c!, d!].flat();
    }),
  );
}

/** A ball about the origin, in rings and slices; millimetres. */
export function ballMesh(radius: number, rings: number, isInsideOut = false): number[] {
  const slices = 2 * rings;
  const at = (ring: number, slice: number): number[] => {
    const [up, turn] = [(Math.PI * ring) / rings, (2 * Math.PI * (slice % slices)) / slices];
    const across = ring === 0 || ring === rings ? 0 : Math.sin(up);
    return [radius * across * Math.cos(turn), radius * across * Math.sin(turn), radius * Math.cos(up)];
  };
  const all: number[][] = [];
  for (let ring = 0; ring < rings; ring++)
    for (let slice = 0; slice < slices; slice++) {
      const [a, b, c, d] = [at(ring, slice), at(ring + 1, slice), at(ring + 1, slice + 1), at(ring, slice + 1)];
      if (ring < rings - 1) all.push([...a, ...b, ...c]);
      if (ring > 0) all.push([...a, ...c, ...d]);
    }
  return all.flatMap((triangle) =>
    isInsideOut ? [...triangle.slice(0, 3), ...triangle.slice(6, 9), ...triangle.slice(3, 6)] : triangle,
  );
}

/** As a text file. */
export function writeStlText(triangles: readonly number[]): string {
  const lines = ['solid part'];
  for (let i = 0; i < triangles.length; i += 9) {
    lines.push('facet normal 0 0 0', 'outer loop');
    for (let k = 0; k < 9; k += 3) lines.push(`vertex ${triangles.slice(i + k, i + k + 3).join(' ')}`);
    lines.push('endloop', 'endfacet');
  }
  return [...lines, 'endsolid part'].join('\n');
}
