import type { Box } from '../model/drawing.ts';

/** A closed outline in millimetres with its bounding box. */
export interface Outline {
  readonly d: string;
  readonly box: Box;
}

/** [x, y] or [x, y, corner radius]. */
export type Corner = readonly [number, number] | readonly [number, number, number];

const round = (value: number) => Math.round(value * 100) / 100;

/** Closed polygon whose corners may be rounded. The box is that of the corners (it may exceed the rounded line slightly). */
export function outlinePolygon(corners: readonly Corner[]): Outline {
  const pieces: string[] = [];
  corners.forEach((corner, i) => {
    const [x, y, radius = 0] = corner;
    const before = corners[(i + corners.length - 1) % corners.length]!;
    const next = corners[(i + 1) % corners.length]!;
    const [ax, ay] = towards(x, y, before, radius);
    const [bx, by] = towards(x, y, next, radius);
    pieces.push(`${i === 0 ? 'M' : 'L'}${round(ax)} ${round(ay)}`);
    if (radius > 0) pieces.push(`Q${round(x)} ${round(y)} ${round(bx)} ${round(by)}`);
  });
  const xs = corners.map((corner) => corner[0]);
  const ys = corners.map((corner) => corner[1]);
  return { d: pieces.join('') + 'Z', box: [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)] };
}

/** The point `radius` from (x, y) towards another corner, at most half-way. */
function towards(x: number, y: number, other: Corner, radius: number): [number, number] {
  const length = Math.hypot(other[0] - x, other[1] - y);
  if (length === 0 || radius === 0) return [x, y];
  const share = Math.min(radius, length / 2) / length;
  return [x + (other[0] - x) * share, y + (other[1] - y) * share];
}

export function outlineRectangle(x: number, y: number, width: number, height: number, radius = 0): Outline {
  return outlinePolygon([
    [x, y, radius],
    [x + width, y, radius],
    [x + width, y + height, radius],
    [x, y + height, radius],
  ]);
}

export function outlineCircle(cx: number, cy: number, radius: number): Outline {
  const [left, right, r] = [round(cx - radius), round(cx + radius), round(radius)];
  return {
    d: `M${left} ${round(cy)}A${r} ${r} 0 1 1 ${right} ${round(cy)}A${r} ${r} 0 1 1 ${left} ${round(cy)}Z`,
    box: [cx - radius, cy - radius, cx + radius, cy + radius],
  };
}

/** Body outline with half-round wheel arches cut from its lower edge. Arches are given left to right. */
export function outlineWithArches(
  upper: readonly Corner[],
  bottomY: number,
  arches: readonly { readonly x: number; readonly radius: number }[],
): Outline {
  const left = Math.min(...upper.map((corner) => corner[0]));
  const right = Math.max(...upper.map((corner) => corner[0]));
  const top = outlinePolygon([...upper, [right, bottomY, 0.6], [left, bottomY, 0.6]]);
  if (arches.length === 0) return top;
  const head = outlinePolygon([...upper, [right, bottomY], [left, bottomY]]).d;
  const cut = head.lastIndexOf(`L${round(left)} ${round(bottomY)}`);
  const back = [...arches]
    .reverse()
    .map(
      ({ x, radius }) =>
        `L${round(x + radius)} ${round(bottomY)}A${round(radius)} ${round(radius)} 0 0 0 ${round(x - radius)} ${round(bottomY)}`,
    )
    .join('');
  return { d: head.slice(0, cut) + back + head.slice(cut), box: top.box };
}
