import type { Lab } from '../../src/colour/colorimetry.ts';
import { idsOf, readShares, type ComboTable } from '../../src/colour/match/comboTable.ts';
import { mayMix } from '../../src/colour/match/shelfOptics.ts';
import { polishMix, scoreMix, type MatchTarget, type Polished } from '../../src/colour/match/polish.ts';

const STARTS = 2;
const FEW = 4;
const MANY = 30;
/** A combo that is worse than the best by more than this after a few steps does not overtake it. */
const HOPELESS = 0.8;

/**
 * Slow yardstick: the least objective of all single paints, pairs and triples. Every combo is polished from its two nearest
 * points of the table; those within 0.8 of the best to the end.
 */
export function matchExhaustively(table: ComboTable, target: MatchTarget): number {
  const { shelf, surface, starts } = table;
  let best = Math.min(...shelf.paints.map((_, id) => scoreMix(shelf, [id], [1], target, surface).objective));
  const begun = Array.from({ length: starts.length - 1 }, (_, combo) => {
    const ids = idsOf(table, combo);
    const from = nearestPoints(table, combo, target.d65).map((point) => readShares(table, combo, point));
    const polished = from.map((shares) => polishMix(shelf, ids, shares, target, surface, FEW));
    const own = polished.reduce((a, b) => (b.objective < a.objective ? b : a));
    best = Math.min(best, own.objective);
    return { ids, own };
  });
  for (const { ids, own } of begun)
    if (own.objective < best + HOPELESS)
      best = Math.min(best, polishMix(shelf, ids, own.shares, target, surface, MANY).objective);
  return best;
}

/**
 * The same with every set of four besides: each begun from its four triples, the paint that is left out as strong as a tenth of
 * what is there.
 */
export function matchFourExhaustively(table: ComboTable, target: MatchTarget): number {
  const { shelf, surface } = table;
  const count = shelf.paints.length;
  let best = matchExhaustively(table, target);
  const triples = new Map<string, Float64Array>();
  const tripleOf = (ids: readonly number[]) => {
    const key = ids.join();
    const known =
      triples.get(key) ??
      polishMix(
        shelf,
        ids,
        ids.map((id) => 1 / shelf.strength[id]!),
        target,
        surface,
        MANY,
      ).shares;
    triples.set(key, known);
    return known;
  };
  const begun: { ids: number[]; own: Polished }[] = [];
  for (let a = 0; a < count; a++)
    for (let b = a + 1; b < count; b++)
      for (let c = b + 1; c < count; c++)
        for (let d = c + 1; d < count; d++) {
          const ids = [a, b, c, d];
          if (!mayMix(shelf, ids)) continue;
          const starts = ids.map((added) => {
            const rest = ids.filter((id) => id !== added);
            const shares = tripleOf(rest);
            const strength = rest.reduce((sum, id, i) => sum + shares[i]! * shelf.strength[id]!, 0);
            return ids.map((id) => (id === added ? (0.1 * strength) / shelf.strength[id]! : shares[rest.indexOf(id)]!));
          });
          const polished = starts.map((shares) => polishMix(shelf, ids, shares, target, surface, FEW));
          const own = polished.reduce((one, other) => (other.objective < one.objective ? other : one));
          best = Math.min(best, own.objective);
          begun.push({ ids, own });
        }
  for (const { ids, own } of begun)
    if (own.objective < best + HOPELESS)
      best = Math.min(best, polishMix(shelf, ids, own.shares, target, surface, MANY).objective);
  return best;
}

function nearestPoints({ labs, starts }: ComboTable, combo: number, target: Lab): number[] {
  const points = Array.from({ length: starts[combo + 1]! - starts[combo]! }, (_, point) => {
    const at = 3 * (starts[combo]! + point);
    return { point, far: Math.hypot(labs[at]! - target[0], labs[at + 1]! - target[1], labs[at + 2]! - target[2]) };
  });
  return points
    .sort((a, b) => a.far - b.far)
    .slice(0, STARTS)
    .map(({ point }) => point);
}
