import { computePhotoMeasure, createSeededRandom, findCard, InvalidInputError, type Point } from '@sardonyx/core';
import { BACKGROUNDS, PRINTED_DOTS, takePinholePhoto, type PinholePhoto, type Shot } from './pinhole.ts';

/** Pictures come in sizes from a cropped one to a small camera's. */
const WIDTHS = [560, 720, 1000] as const;
/** A dot that was found lies on one that was printed, mm on the card. */
const ON_THE_DOT_MM = 0.6;
/** How well somebody points at a magnified picture, px. */
const POINTING_PX = 1;

export interface CardTrials {
  readonly count: number;
  /** Taken as found although dots were paired wrongly. */
  readonly wrong: number;
  /** Pictures with nine dots or more in sight, and how many of these were found. */
  readonly inSight: number;
  readonly found: number;
  /** Lengths that were measured, and how many lie in what was stated. */
  readonly measured: number;
  readonly covered: number;
  readonly ms: readonly number[];
}

/** Cards on four grounds, at all angles and tilts to 35 degrees, to three dots covered, looked for by themselves. */
export function tryCards(count: number, from = 1): CardTrials {
  let [wrong, inSight, found, measured, covered] = [0, 0, 0, 0, 0];
  const ms: number[] = [];
  for (let seed = from; seed < from + count; seed++) {
    const random = createSeededRandom(seed);
    const shot = drawShot(seed, random);
    const photo = takePinholePhoto(shot, random);
    const seen = PRINTED_DOTS.filter((_, i) => !shot.covered.includes(i)).filter(([x, y]) =>
      isInside(photo, x, y),
    ).length;
    if (seen >= 9) inSight++;
    const began = performance.now();
    const control = look(photo);
    ms.push(performance.now() - began);
    if (!control) continue;
    if (!isRight(control, photo)) {
      wrong++;
      continue;
    }
    if (seen >= 9) found++;
    for (let i = 0; i < 5; i++) {
      // Somewhere on the card or beside it, at least a centimetre long.
      const place = () => ({ x: -10 + 105 * random(), y: -20 + 90 * random() });
      const [a, b] = [place(), place()];
      const trueMm = Math.hypot(b.x - a.x, b.y - a.y);
      const [p, q] = [a, b].map(({ x, y }) => shake(photo.project(x, y), random)) as [Point, Point];
      if (trueMm < 10 || ![p, q].every(({ x, y }) => x > 0 && y > 0 && x < photo.width && y < photo.height)) continue;
      const question = { kind: 'length', points: [p, q], nearerMm: 0, distanceMm: null } as const;
      const size = { widthPx: photo.width, heightPx: photo.height };
      const { low, high } = computePhotoMeasure({ name: 'bench card', points: control }, size, question);
      measured++;
      if (low <= trueMm && trueMm <= high) covered++;
    }
  }
  return { count, wrong, inSight, found, measured, covered, ms };
}

function drawShot(seed: number, random: () => number): Shot {
  const width = WIDTHS[seed % WIDTHS.length]!;
  const hidden = Math.floor(4 * random());
  const order = PRINTED_DOTS.map((_, i) => ({ i, at: random() })).sort((a, b) => a.at - b.at);
  return {
    ...{ width, height: Math.round(0.75 * width), distanceMm: 230 + 200 * random(), fieldDegrees: 40 + 12 * random() },
    ...{ tiltDegrees: 35 * random(), towardsDegrees: 360 * random(), turnDegrees: (360 * seed * 0.618034) % 360 },
    ...{ bend: 0.02 - 0.08 * random(), background: BACKGROUNDS[seed % BACKGROUNDS.length]! },
    covered: order.slice(0, hidden).map(({ i }) => i),
    ...{ blurPx: random() < 0.5 ? 0.6 : 0.6 + 1.2 * random(), noise: 1 + 4 * random() },
  };
}

const isInside = (photo: PinholePhoto, x: number, y: number): boolean => {
  const at = photo.project(x, y);
  return at.x > 4 && at.y > 4 && at.x < photo.width - 4 && at.y < photo.height - 4;
};

function look(photo: PinholePhoto) {
  try {
    return findCard(photo);
  } catch (error) {
    if (error instanceof InvalidInputError) return null;
    throw error;
  }
}

/** Each dot where that dot is printed, or all of them turned by half a turn, which measures the same. */
function isRight(control: readonly { readonly pixel: Point; readonly mm: Point }[], photo: PinholePhoto): boolean {
  const isOn = (turn: boolean) =>
    control.every(({ pixel, mm }) => {
      const [x, y] = turn ? [85 - mm.x, 54 - mm.y] : [mm.x, mm.y];
      const at = photo.project(x, y);
      const edge = photo.project(x + ON_THE_DOT_MM, y);
      return Math.hypot(at.x - pixel.x, at.y - pixel.y) <= Math.max(1, Math.hypot(edge.x - at.x, edge.y - at.y));
    });
  return isOn(false) || isOn(true);
}

const shake = ({ x, y }: Point, random: () => number): Point => {
  const angle = 2 * Math.PI * random();
  const off = POINTING_PX * Math.sqrt(-2 * Math.log(1 - random()));
  return { x: x + off * Math.cos(angle), y: y + off * Math.sin(angle) };
};
