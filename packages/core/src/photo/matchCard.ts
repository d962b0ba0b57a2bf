import type { ControlPoint, Point } from '../model/plane.ts';
import { BENCH_CARD, CARD_DOTS } from './benchCard.ts';
import type { Dot } from './findDots.ts';
import { mapPoint, solveHomography, type Homography } from './solveHomography.ts';

/** A way of laying the card's dots on spots of a picture. */
export interface CardPairing {
  /** By the place of each dot in CARD_DOTS; where no spot lies the dot is left out. */
  readonly pairs: readonly { readonly index: number; readonly pixel: Point }[];
  readonly toPicture: Homography;
}

/**
 * Threes of the card's dots, none twice: with three dots covered at least one of them is whole. Each spans most of the card.
 */
const TRIPLES = [
  [0, 1, 7],
  [3, 2, 6],
  [4, 9, 10],
  [8, 5, 11],
] as const;
/** Seen at a slant, the card is shortened to this at most (about 55 degrees). */
export const LEAST_ASPECT = 0.58;
/** Pixels per millimetre by the dots' own size and by their distances agree within these. */
const SCALES = { least: 0.55, most: 1.35 } as const;
/** How far from its place a dot may lie before perspective is known, after it, and in the end, mm. */
const NEAR_MM = { rough: 4.5, better: 2, fine: 1 } as const;
/** Fewer fitting dots than these are chance. */
const LEAST = { rough: 6, fine: 7 } as const;
/** Laid otherwise: its middle elsewhere by this, mm, or its long side turned by this. */
const OTHER = { mm: 9, degrees: 30 } as const;

/**
 * Every way of laying the card on the spots that fits several of its dots, the best first; of ways that put it on the same
 * place the best one only (a card that is turned by 180 degrees lies on the same place). Rough: three dots fix an affine map,
 * more of them the perspective.
 */
export function matchCard(dots: readonly Dot[]): CardPairing[] {
  const found: CardPairing[] = [];
  for (const triple of TRIPLES) for (const three of listThrees(dots, triple)) grow(dots, triple, three, found);
  const best: CardPairing[] = [];
  for (const one of found.sort((a, b) => b.pairs.length - a.pairs.length || misfitOf(a) - misfitOf(b)))
    if (best.every((other) => isElsewhere(one, other))) best.push(one);
  return best;
}

type Triple = (typeof TRIPLES)[number];

/** Threes of spots whose distances are those of the card's three dots, at the size that the spots have. */
function* listThrees(dots: readonly Dot[], [a, b, c]: Triple): Generator<readonly [Dot, Dot, Dot]> {
  const apart = (i: number, j: number) =>
    Math.hypot(CARD_DOTS[i]!.x - CARD_DOTS[j]!.x, CARD_DOTS[i]!.y - CARD_DOTS[j]!.y);
  const [ab, ac, bc] = [apart(a, b), apart(a, c), apart(b, c)];
  const fits = (p: Dot, q: Dot, mm: number) => {
    const scale = (p.radius + q.radius) / BENCH_CARD.dotMm;
    const share = Math.hypot(p.x - q.x, p.y - q.y) / (scale * mm);
    return share > SCALES.least && share < SCALES.most && p.radius < 1.8 * q.radius && q.radius < 1.8 * p.radius;
  };
  for (const p of dots)
    for (const q of dots) {
      if (p === q || !fits(p, q, ab)) continue;
      for (const r of dots) if (r !== p && r !== q && fits(p, r, ac) && fits(q, r, bc)) yield [p, q, r];
    }
}

/** From three dots to all that fit; put to the list when enough do. */
function grow(dots: readonly Dot[], triple: Triple, three: readonly [Dot, Dot, Dot], found: CardPairing[]): void {
  const affine = solveAffine(
    triple.map((index) => CARD_DOTS[index]!),
    three,
  );
  if (!affine || computeAspect(affine) < LEAST_ASPECT) return;
  let pairs = pairUp(dots, affine, NEAR_MM.rough);
  if (pairs.length < LEAST.rough) return;
  for (const near of [NEAR_MM.better, NEAR_MM.fine]) {
    const toPicture = solve(pairs);
    if (!toPicture || computeAspect(toPicture) < LEAST_ASPECT) return;
    pairs = pairUp(dots, toPicture, near);
    if (pairs.length < LEAST.fine) return;
  }
  const last = solve(pairs);
  if (last) found.push({ pairs, toPicture: last });
}

function solve(pairs: CardPairing['pairs']): Homography | null {
  try {
    return solveHomography(pairs.map(({ index, pixel }): ControlPoint => ({ pixel: CARD_DOTS[index]!, mm: pixel })));
  } catch {
    // Too few of them, or all in one row: this way says nothing.
    return null;
  }
}

/** The nearest spot to each dot's place, if it is near enough; no spot twice. */
function pairUp(dots: readonly Dot[], toPicture: Homography, nearMm: number): CardPairing['pairs'] {
  const taken = new Set<Dot>();
  return CARD_DOTS.flatMap((place, index) => {
    const at = mapPoint(toPicture, place);
    let nearest: Dot | null = null;
    let off = Infinity;
    for (const dot of dots) {
      const away = Math.hypot(dot.x - at.x, dot.y - at.y);
      if (away < off) [nearest, off] = [dot, away];
    }
    if (!nearest || taken.has(nearest)) return [];
    const pixelsPerMm = nearest.radius / (BENCH_CARD.dotMm / 2);
    if (off > nearMm * pixelsPerMm) return [];
    taken.add(nearest);
    return [{ index, pixel: { x: nearest.x, y: nearest.y } }];
  });
}

/** As a homography without perspective; null where the three lie on one line or the map mirrors. */
function solveAffine(from: readonly Point[], to: readonly Point[]): Homography | null {
  const [p, q, r] = from as [Point, Point, Point];
  const [u, v, w] = to as [Point, Point, Point];
  const det = (q.x - p.x) * (r.y - p.y) - (r.x - p.x) * (q.y - p.y);
  const of = (a: number, b: number, c: number) => {
    const dx = ((b - a) * (r.y - p.y) - (c - a) * (q.y - p.y)) / det;
    const dy = ((c - a) * (q.x - p.x) - (b - a) * (r.x - p.x)) / det;
    return [dx, dy, a - dx * p.x - dy * p.y];
  };
  const rows = [...of(u.x, v.x, w.x), ...of(u.y, v.y, w.y), 0, 0, 1];
  return rows[0]! * rows[4]! - rows[1]! * rows[3]! > 0 ? rows : null;
}

/** Shortening in the middle of the card: the smaller singular value of the map there, of the larger one. */
export function computeAspect(toPicture: Homography): number {
  const { at, dx, dy } = readFrame(toPicture);
  const [a, b, c, d] = [dx.x - at.x, dy.x - at.x, dx.y - at.y, dy.y - at.y];
  const det = a * d - b * c;
  if (!(det > 0)) return 0;
  const sum = (a * a + b * b + c * c + d * d) / 2;
  const root = Math.sqrt(Math.max(0, sum * sum - det * det));
  return Math.sqrt((sum - root) / (sum + root));
}

/** The card's middle in the picture, and one millimetre along and across from there. */
function readFrame(toPicture: Homography): { readonly at: Point; readonly dx: Point; readonly dy: Point } {
  const [x, y] = [BENCH_CARD.widthMm / 2, BENCH_CARD.heightMm / 2];
  return {
    at: mapPoint(toPicture, { x, y }),
    dx: mapPoint(toPicture, { x: x + 1, y }),
    dy: mapPoint(toPicture, { x, y: y + 1 }),
  };
}

function isElsewhere(one: CardPairing, other: CardPairing): boolean {
  const [a, b] = [readFrame(one.toPicture), readFrame(other.toPicture)];
  const mm = Math.hypot(b.dx.x - b.at.x, b.dx.y - b.at.y);
  const turn = Math.atan2(a.dx.y - a.at.y, a.dx.x - a.at.x) - Math.atan2(b.dx.y - b.at.y, b.dx.x - b.at.x);
  const isTurned = Math.abs(Math.sin(turn)) > Math.sin((OTHER.degrees * Math.PI) / 180);
  return isTurned || Math.hypot(a.at.x - b.at.x, a.at.y - b.at.y) > OTHER.mm * mm;
}

const misfitOf = ({ pairs, toPicture }: CardPairing): number =>
  pairs.reduce((sum, { index, pixel }) => {
    const at = mapPoint(toPicture, CARD_DOTS[index]!);
    return sum + Math.hypot(at.x - pixel.x, at.y - pixel.y);
  }, 0) / pairs.length;
