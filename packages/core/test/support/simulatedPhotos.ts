import type { ControlPoint, Point } from '../../src/model/plane.ts';
import type { RandomSource } from '../../src/numeric/seededRandom.ts';

/** A pinhole camera over the plane z = 0: where a point of the bench lands in the picture, px. */
export type Camera = (x: number, y: number, z?: number) => Point;

/** Card in the picture, mm. */
const CARD = [
  { x: 0, y: 0 },
  { x: 85, y: 0 },
  { x: 85, y: 54 },
  { x: 0, y: 54 },
];

/** 260 to 420 mm away, tilted by up to 20 degrees both ways, turned anyhow, about 10 px a mm. */
export function createCamera(random: RandomSource): Camera {
  const away = 260 + random() * 160;
  const focal = 3200;
  const [tilt, tip, turn] = [radians(40 * random() - 20), radians(40 * random() - 20), radians(360 * random())];
  const centre = { x: 30 + 30 * random(), y: 15 + 30 * random() };
  return (x, y, z = 0) => {
    const [dx, dy] = [x - centre.x, y - centre.y];
    const [ux, uy] = [Math.cos(turn) * dx - Math.sin(turn) * dy, Math.sin(turn) * dx + Math.cos(turn) * dy];
    // Tilt about the picture's x, then tip about its y.
    const [ty, tz] = [Math.cos(tilt) * uy - Math.sin(tilt) * -z, Math.sin(tilt) * uy + Math.cos(tilt) * -z];
    const [px, pz] = [Math.cos(tip) * ux + Math.sin(tip) * tz, -Math.sin(tip) * ux + Math.cos(tip) * tz];
    const depth = away + pz;
    return { x: 2000 + (focal * px) / depth, y: 1500 + (focal * ty) / depth };
  };
}

/** Box and Muller. */
export function drawNormal(random: RandomSource): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

/** Points at a pixel with a hand that trembles. */
export const pointAt = ({ x, y }: Point, sd: number, random: RandomSource): Point => ({
  x: x + sd * drawNormal(random),
  y: y + sd * drawNormal(random),
});

/** The corners of the card as somebody marks them. */
export const markCard = (camera: Camera, sd: number, random: RandomSource): ControlPoint[] =>
  CARD.map((mm) => ({ mm, pixel: pointAt(camera(mm.x, mm.y), sd, random) }));

const radians = (degrees: number) => (degrees * Math.PI) / 180;

export interface LengthTrials {
  /** Share of true lengths inside the stated 95 % interval. */
  readonly coverage: number;
  /** Of the absolute errors, mm. */
  readonly medianErrorMm: number;
}

/** Lengths of 20 to 75 mm beside the card, each in a picture of its own. */
export function tryLengths(
  count: number,
  random: RandomSource,
  measure: (
    control: readonly ControlPoint[],
    a: Point,
    b: Point,
    pixelSd: number,
  ) => { value: number; low: number; high: number },
): LengthTrials {
  const errors: number[] = [];
  let covered = 0;
  for (let i = 0; i < count; i++) {
    const camera = createCamera(random);
    const pixelSd = 0.4 + random();
    const control = markCard(camera, pixelSd, random);
    const length = 20 + 55 * random();
    const angle = 2 * Math.PI * random();
    const from = { x: 10 + 60 * random(), y: 10 + 30 * random() };
    const to = { x: from.x + length * Math.cos(angle), y: from.y + length * Math.sin(angle) };
    const pixels = [from, to].map(({ x, y }) => pointAt(camera(x, y), pixelSd, random)) as [Point, Point];
    const { value, low, high } = measure(control, ...pixels, pixelSd);
    errors.push(Math.abs(value - length));
    if (low <= length && length <= high) covered++;
  }
  errors.sort((a, b) => a - b);
  return { coverage: covered / count, medianErrorMm: errors[count >> 1]! };
}
