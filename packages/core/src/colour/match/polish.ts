import { splitDe00 } from '../difference.ts';
import type { Lab } from '../colorimetry.ts';
import type { Surface } from '../kubelkaMunk.ts';
import { createMixRoom, evaluateMix, MOST_PAINTS, readLab, type MixRoom } from './mixModel.ts';
import type { Shelf } from './shelfOptics.ts';

/** What is to be matched: Lab under D65 and under A. */
export interface MatchTarget {
  readonly d65: Lab;
  readonly a: Lab;
  /** Weight of the difference under A beside that under D65. */
  readonly weightA: number;
}

export interface Polished {
  readonly shares: Float64Array;
  /** dE00 under D65 + weight times dE00 under A. */
  readonly objective: number;
  readonly de65: number;
  readonly deA: number;
}

const room: MixRoom = createMixRoom();
const parts = [new Float64Array(3), new Float64Array(3)] as const;
const nudged = new Float64Array(3);
/** Of the difference: one row a part, one column a coordinate of Lab. */
const metric = new Float64Array(9);
const normal = new Float64Array(MOST_PAINTS * MOST_PAINTS);
const system = new Float64Array(MOST_PAINTS * (MOST_PAINTS + 1));
const right = new Float64Array(MOST_PAINTS);
const step = new Float64Array(MOST_PAINTS);
const NUDGE = 1e-3;
/** So near to its bound a share stands at it; and it is tried so far below. */
const AT_BOUND = 1e-9;
const BELOW = 0.9;
/** Below this a difference counts as none when its weight is chosen. */
const FLOOR = 1e-3;
/** A share is never less than this part of the largest. */
const LEAST_LOG = Math.log(1e-5);

/** The objective of given shares. */
export function scoreMix(
  shelf: Shelf,
  ids: ArrayLike<number>,
  shares: ArrayLike<number>,
  target: MatchTarget,
  surface: Surface,
): Omit<Polished, 'shares'> {
  evaluateMix(shelf, ids, shares, surface, room, false);
  splitDe00(target.d65, readLab(room.lab[0]), parts[0]);
  splitDe00(target.a, readLab(room.lab[1]), parts[1]);
  const de65 = Math.hypot(parts[0][0]!, parts[0][1]!, parts[0][2]!);
  const deA = Math.hypot(parts[1][0]!, parts[1][1]!, parts[1][2]!);
  return { de65, deA, objective: de65 + target.weightA * deA };
}

/**
 * Levenberg-Marquardt in the logarithms of the shares from a first guess, on CIEDE2000 in three parts under two illuminants.
 * The objective is a sum of lengths, so each light is weighed by one over its length (iteratively reweighted least squares).
 *
 * `most` is the largest share of each paint, as much as its pot holds; their sum is at least 1. Paints at that bound stand
 * still, the others share the rest; at the end each of them is tried below its bound again.
 */
export function polishMix(
  shelf: Shelf,
  ids: ArrayLike<number>,
  from: ArrayLike<number>,
  target: MatchTarget,
  surface: Surface,
  mostSteps: number,
  most: ArrayLike<number> | null = null,
): Polished {
  const n = ids.length;
  let best = descend(from);
  for (let isBetter = most !== null; isBetter;) {
    isBetter = false;
    for (let p = 0; p < n; p++) {
      if (best.shares[p]! < most![p]! - AT_BOUND) continue;
      const tried = descend(best.shares.map((share, i) => (i === p ? BELOW * share : share)));
      if (tried.objective >= best.objective - 1e-6) continue;
      best = tried;
      isBetter = true;
    }
  }
  return best;

  function descend(start: ArrayLike<number>): Polished {
    let shares = Float64Array.from({ length: n }, (_, p) => start[p]!);
    let held = new Array<boolean>(n).fill(false);
    normalise(shares, most, held);
    let now = scoreMix(shelf, ids, shares, target, surface);
    let damping = 1e-2;
    for (let round = 0; round < mostSteps && n > 1; round++) {
      evaluateMix(shelf, ids, shares, surface, room, true);
      holdAtBound(shares, held);
      gather(n, target);
      let isBetter = false;
      for (let attempt = 0; attempt < 6; attempt++) {
        if (!solveDamped(n, damping)) break;
        const next = Float64Array.from(shares, (share, p) => share * Math.exp(Math.max(-2, Math.min(2, step[p]!))));
        const nextHeld = [...held];
        normalise(next, most, nextHeld);
        const score = scoreMix(shelf, ids, next, target, surface);
        if (score.objective < now.objective) {
          isBetter = now.objective - score.objective > 1e-6;
          [shares, held, now] = [next, nextHeld, score];
          damping = Math.max(1e-6, damping / 5);
          break;
        }
        damping *= 6;
      }
      if (!isBetter) break;
    }
    return { shares, ...now };
  }
}

/** Slopes along shares that keep their sum while paints at their bound stand still. */
function holdAtBound(shares: Float64Array, held: readonly boolean[]): void {
  if (!held.includes(true)) return;
  const n = shares.length;
  let free = 0;
  for (let p = 0; p < n; p++) if (!held[p]) free += shares[p]!;
  for (const slope of room.slope)
    for (let c = 0; c < 3; c++) {
      let sum = 0;
      for (let p = 0; p < n; p++) if (!held[p]) sum += slope[c * MOST_PAINTS + p]!;
      for (let p = 0; p < n; p++)
        slope[c * MOST_PAINTS + p] = held[p] ? 0 : slope[c * MOST_PAINTS + p]! - (shares[p]! / free) * sum;
    }
}

/** Normal equations of both lights at the last evaluation. */
function gather(n: number, target: MatchTarget): void {
  normal.fill(0);
  right.fill(0);
  for (let light = 0; light < 2; light++) {
    const aim = light === 0 ? target.d65 : target.a;
    const now = readLab(room.lab[light]!);
    const own = parts[light]!;
    splitDe00(aim, now, own);
    const length = Math.hypot(own[0]!, own[1]!, own[2]!);
    const weight = (light === 0 ? 1 : target.weightA) / Math.max(length, FLOOR);
    if (weight === 0) continue;
    for (let c = 0; c < 3; c++) {
      const moved: [number, number, number] = [now[0], now[1], now[2]];
      moved[c]! += NUDGE;
      splitDe00(aim, moved, nudged);
      for (let row = 0; row < 3; row++) metric[3 * row + c] = (nudged[row]! - own[row]!) / NUDGE;
    }
    const slope = room.slope[light]!;
    for (let row = 0; row < 3; row++) {
      for (let p = 0; p < n; p++) {
        let own1 = 0;
        for (let c = 0; c < 3; c++) own1 += metric[3 * row + c]! * slope[c * MOST_PAINTS + p]!;
        step[p] = own1;
      }
      for (let p = 0; p < n; p++) {
        right[p]! -= weight * step[p]! * own[row]!;
        for (let q = 0; q <= p; q++) normal[p * MOST_PAINTS + q]! += weight * step[p]! * step[q]!;
      }
    }
  }
}

/** Solves (N + damping (diagonal + trace)) step = right; false where that cannot be done. */
function solveDamped(n: number, damping: number): boolean {
  let trace = 0;
  for (let p = 0; p < n; p++) trace += normal[p * MOST_PAINTS + p]!;
  if (!(trace > 0)) return false;
  const width = n + 1;
  for (let p = 0; p < n; p++) {
    for (let q = 0; q < n; q++) system[p * width + q] = normal[Math.max(p, q) * MOST_PAINTS + Math.min(p, q)]!;
    system[p * width + p]! += damping * (normal[p * MOST_PAINTS + p]! + (1e-3 * trace) / n);
    system[p * width + n] = right[p]!;
  }
  // Positive definite by the damping: no pivots needed.
  for (let c = 0; c < n; c++) {
    const lead = system[c * width + c]!;
    if (!(Math.abs(lead) > 1e-300)) return false;
    for (let r = c + 1; r < n; r++) {
      const factor = system[r * width + c]! / lead;
      for (let i = c; i <= n; i++) system[r * width + i]! -= factor * system[c * width + i]!;
    }
  }
  for (let r = n - 1; r >= 0; r--) {
    let rest = system[r * width + n]!;
    for (let i = r + 1; i < n; i++) rest -= system[r * width + i]! * step[i]!;
    step[r] = rest / system[r * width + r]!;
  }
  return true;
}

/**
 * To a sum of 1, none so small that its logarithm runs away, none above its bound. `held` says which stand at their bound; those
 * that come to it are held from then on, and the rest shares what they leave.
 */
function normalise(shares: Float64Array, most: ArrayLike<number> | null, held: boolean[]): void {
  let largest = 0;
  for (const share of shares) largest = Math.max(largest, share);
  const least = largest * Math.exp(LEAST_LOG);
  for (let p = 0; p < shares.length; p++) shares[p] = Math.max(shares[p]!, least);
  for (let isOver = true; isOver;) {
    isOver = false;
    let left = 1;
    let free = 0;
    for (let p = 0; p < shares.length; p++)
      if (held[p]) left -= shares[p] = most![p]!;
      else free += shares[p]!;
    for (let p = 0; p < shares.length; p++) {
      if (held[p]) continue;
      shares[p]! *= left / free;
      if (most && shares[p]! > most[p]! - AT_BOUND) isOver = held[p] = true;
    }
  }
}
