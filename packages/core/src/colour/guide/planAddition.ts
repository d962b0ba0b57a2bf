import type { Surface } from '../kubelkaMunk.ts';
import { createMixRoom, evaluateMix, MOST_PAINTS } from '../match/mixModel.ts';
import { polishMix, scoreMix, type MatchTarget } from '../match/polish.ts';
import type { Shelf } from '../match/shelfOptics.ts';
import type { Strengths } from './estimateStrengths.ts';

export interface MixInHand {
  readonly ids: readonly number[];
  /** ml of each paint in the pot. Nothing can be taken out again. */
  readonly volumes: readonly number[];
}

export interface AdditionLimits {
  readonly needMl: number;
  readonly doseMl: number;
  /** dE00 that is good enough. */
  readonly tolerance: number;
}

export interface Addition {
  /** The paints of the mix, a new one last where one helps. */
  readonly ids: readonly number[];
  /** Whole doses of each paint; all 0 when nothing is to be added. */
  readonly doses: readonly number[];
  /** What the mix will be then. */
  readonly de: number;
  /** One standard deviation of that, from what is not known of the strengths. */
  readonly deSd: number;
  readonly totalMl: number;
  /** The colour cannot be reached by adding, within the volume that was allowed. */
  readonly isBeyond: boolean;
}

/** So much more than is needed may a correction cost, as parts of the need; beyond that a new start is cheaper. */
export const MOST_VOLUME = 1.2;
const VOLUMES = 13;
/** So much of a pot is planned with: a hand pours a little over. */
const HAND_SLACK = 0.97;
/** Nearer than this part of the tolerance is not worth more volume; a need more of it costs so many tolerances. */
const AIM = 0.4;
const VOLUME_PRICE = 4;
const room = createMixRoom();

/**
 * The smallest addition that brings a mix to its target, in whole doses: for a row of total volumes from what is needed
 * upwards the best addition that takes nothing out and asks of no pot more than it holds, and of these the one that is worth
 * its volume.
 */
export function planAddition(
  shelf: Shelf,
  { ids, volumes }: MixInHand,
  strengths: Strengths,
  target: MatchTarget,
  surface: Surface,
  limits: AdditionLimits,
): Addition {
  const { needMl, doseMl, tolerance } = limits;
  const { factors } = strengths;
  const nowMl = volumes.reduce((sum, one) => sum + one, 0);
  const effective = volumes.map((volume, i) => Math.max(volume, 1e-4 * nowMl) * factors[i]!);
  const ideal = polishMix(shelf, ids, effective, target, surface, 30);
  const raw = ids.map((_, i) => ideal.shares[i]! / factors[i]!);
  const sum = raw.reduce((total, one) => total + one, 0);
  const wanted = raw.map((one) => one / sum);
  const held = ids.map((id) => Math.floor((HAND_SLACK * shelf.paints[id]!.leftMl) / doseMl));
  const heldTotal = held.reduce((all, one) => all + one, 0);
  const least = Math.max(0, Math.round((needMl - nowMl) / doseMl));
  const most = Math.max(least, Math.round((MOST_VOLUME * needMl - nowMl) / doseMl));
  let best: { doses: number[]; de: number } | null = null;
  let bestPrice = Infinity;
  for (let i = 0; i < VOLUMES; i++) {
    const total = Math.min(heldTotal, Math.round(least + ((most - least) * i) / (VOLUMES - 1)));
    const tried = fillTo(total);
    const price = Math.max(tried.de, AIM * tolerance) + (VOLUME_PRICE * tolerance * (total - least) * doseMl) / needMl;
    if (price < bestPrice - 1e-9) {
      best = tried;
      bestPrice = price;
    }
    if (best!.de <= Math.max(AIM * tolerance, ideal.de65 + 0.05)) break;
    if (most === least) break;
  }
  const { doses, de } = best!;
  const after = volumes.map((volume, i) => volume + doses[i]! * doseMl);
  return {
    ids,
    doses,
    de,
    deSd: computeSpread(shelf, ids, after, strengths, surface),
    totalMl: after.reduce((all, one) => all + one, 0),
    isBeyond: de > tolerance,
  };

  /** The best way to add so many doses: what is missing first, then dose by dose in ever smaller strides. */
  function fillTo(total: number): { doses: number[]; de: number } {
    const finalMl = nowMl + total * doseMl;
    const missing = wanted.map((share, i) => Math.max(0, (share * finalMl - volumes[i]!) / doseMl));
    const scale =
      total /
      Math.max(
        1e-9,
        missing.reduce((all, one) => all + one, 0),
      );
    let doses = keepWithin(
      spread(
        missing.map((one) => one * scale),
        total,
      ),
      held,
    );
    let de = scoreOf(doses);
    for (let stride = Math.max(1, Math.round(total / 8)); stride >= 1; stride = stride > 1 ? Math.floor(stride / 2) : 0)
      for (let isBetter = true; isBetter;) {
        isBetter = false;
        for (let give = 0; give < doses.length; give++)
          for (let take = 0; take < doses.length; take++) {
            if (give === take || doses[give]! < stride || doses[take]! + stride > held[take]!) continue;
            const moved = doses.map((one, i) => one + (i === take ? stride : i === give ? -stride : 0));
            const score = scoreOf(moved);
            if (score < de - 1e-6) {
              doses = moved;
              de = score;
              isBetter = true;
            }
          }
      }
    return { doses, de };
  }

  function scoreOf(doses: readonly number[]): number {
    const shares = volumes.map((volume, i) => (volume + doses[i]! * doseMl) * factors[i]!);
    return scoreMix(shelf, ids, shares, target, surface).de65;
  }
}

/** What is over what a pot holds goes to the others, as far as these hold it. */
function keepWithin(doses: readonly number[], held: readonly number[]): number[] {
  const kept = doses.map((one, i) => Math.min(one, held[i]!));
  let over = doses.reduce((sum, one, i) => sum + one - kept[i]!, 0);
  kept.forEach((one, i) => {
    const more = Math.min(over, held[i]! - one);
    kept[i] = one + more;
    over -= more;
  });
  return kept;
}

/** Whole doses nearest to the wished ones that sum to the total: the largest rests are rounded up. */
function spread(wished: readonly number[], total: number): number[] {
  const doses = wished.map(Math.floor);
  const order = wished.map((one, i) => ({ i, rest: one - Math.floor(one) })).sort((a, b) => b.rest - a.rest);
  let left = total - doses.reduce((sum, one) => sum + one, 0);
  for (let at = 0; left > 0; at = (at + 1) % order.length, left--) doses[order[at]!.i]!++;
  return doses;
}

/** Spread of the colour of a mix from what is not known of the strengths of its paints. */
function computeSpread(
  shelf: Shelf,
  ids: readonly number[],
  volumes: readonly number[],
  { factors, covariance }: Strengths,
  surface: Surface,
): number {
  evaluateMix(
    shelf,
    ids,
    volumes.map((volume, i) => volume * factors[i]!),
    surface,
    room,
    true,
  );
  let variance = 0;
  for (let c = 0; c < 3; c++)
    for (let p = 0; p < ids.length; p++)
      for (let q = 0; q < ids.length; q++)
        variance += room.slope[0][c * MOST_PAINTS + p]! * covariance[p]![q]! * room.slope[0][c * MOST_PAINTS + q]!;
  return Math.sqrt(Math.max(0, variance));
}
