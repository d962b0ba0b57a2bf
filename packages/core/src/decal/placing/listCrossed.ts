import { flattenLines } from '../../drawing/flattenLines.ts';
import type { DrawingView } from '../../model/drawing.ts';
import type { Point } from '../../model/plane.ts';

/** What a decal lies across: an edge of its own part, relief on it, or the edge of another part. */
export interface Crossed {
  readonly what: 'edge' | 'relief' | 'joint';
  readonly partKey: string;
}

/** A rectangle about its middle, turned clockwise. */
export interface TurnedBox extends Point {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly turnDegrees: number;
}

/** What touches the edge alone is not crossed, mm. */
const TOUCH_MM = 0.05;

/**
 * What a decal on a part lies across by the drawing. What is drawn before the part lies behind it; the area that the decal is for is no
 * relief.
 */
export function listCrossed({ shapes }: DrawingView, partKey: string, areaName: string, box: TurnedBox): Crossed[] {
  const first = shapes.findIndex((shape) => shape.partKey === partKey && shape.surface === 'coat');
  if (first < 0) return [];
  const found = new Map<string, Crossed>();
  for (const shape of shapes.slice(first)) {
    const isOwn = shape.partKey === partKey;
    if (shape.hidden || (isOwn && areaName !== '' && shape.mask === areaName)) continue;
    const what = !isOwn ? 'joint' : shape.surface === 'coat' && !shape.mask ? 'edge' : 'relief';
    const key = `${what} ${shape.partKey}`;
    if (!found.has(key) && crosses(shape.d, box)) found.set(key, { what, partKey: shape.partKey });
  }
  return [...found.values()];
}

const crosses = (d: string, box: TurnedBox): boolean =>
  flattenLines(d).some((line) =>
    line.some((point, i) => i > 0 && passes(toBox(line[i - 1]!, box), toBox(point, box), box)),
  );

/** As seen from the middle of the box, along its sides. */
function toBox({ x, y }: Point, box: TurnedBox): Point {
  const turn = (box.turnDegrees * Math.PI) / 180;
  const [dx, dy] = [x - box.x, y - box.y];
  return { x: dx * Math.cos(turn) + dy * Math.sin(turn), y: dy * Math.cos(turn) - dx * Math.sin(turn) };
}

/** Whether a stretch passes through the inside of the box (Liang and Barsky 1984). */
function passes(from: Point, to: Point, { widthMm, heightMm }: TurnedBox): boolean {
  let [start, end] = [0, 1];
  for (const [at, by, half] of [
    [from.x, to.x - from.x, widthMm / 2 - TOUCH_MM],
    [from.y, to.y - from.y, heightMm / 2 - TOUCH_MM],
  ] as const) {
    if (by === 0) {
      if (Math.abs(at) >= half) return false;
      continue;
    }
    const [one, other] = [(-half - at) / by, (half - at) / by];
    start = Math.max(start, Math.min(one, other));
    end = Math.min(end, Math.max(one, other));
  }
  return start < end;
}
