import type { Posterior } from './createIdentifier.ts';

export interface ExpectedLoss {
  /** Rarity points, 0 to 10, that going on is expected to cost. */
  readonly points: number;
  /** Chance that the outer coat is the one it left the factory with. */
  readonly originalChance: number;
  /** Variants that the loss comes from, worst first. */
  readonly from: readonly LossShare[];
}

export interface LossShare {
  readonly variantId: string;
  readonly name: string;
  readonly rarity: number;
  /** Not this variant but an issue like it that nobody listed. */
  readonly isUnlisted: boolean;
  /** Chance that it is this variant and still in its original coat. */
  readonly chance: number;
}

/** What the loss comes from, in words: a listed issue, or one like it that nobody listed. */
export const sayLossShare = ({ name, isUnlisted }: LossShare): string =>
  isUnlisted ? `an issue like ${name} that is not listed` : name;

const MOST_SHARES = 3;

/**
 * What an irreversible step would cost: sum over variants of P(v and outer coat still original) * rarity(v) (expected loss
 * as in J. O. Berger, Statistical Decision Theory, 1985). A coat is original when no feature of it was altered; features
 * nobody looked at count as their history leaves them. An issue nobody listed is at least as rare as the listed one that it
 * is like; a stranger has no rarity: nobody knows what it is worth.
 */
export function computeExpectedLoss({ encoded, factors, joint }: Posterior): ExpectedLoss {
  const { source, variantCount, hypothesisCount, histories, looks, siblings } = encoded;
  const size = histories.length;
  const coats = looks.flatMap((look, f) => (look.group === 'outer coat' ? [{ look, factor: factors[f] }] : []));
  const kept = new Float64Array(hypothesisCount);
  for (let i = 0, at = 0; i < hypothesisCount; i++) {
    for (let h = 0; h < size; h++, at++) {
      let original = coats.length ? 1 : 1 - histories[h]!.rates['outer coat'];
      for (const { look, factor } of coats)
        original *= 1 - (factor ? factor.altered[look.classOf[i]! * size + h]! : look.altered[h]!);
      kept[i]! += joint[at]! * original;
    }
  }
  let points = 0;
  const shares: LossShare[] = [];
  for (let i = 0; i < hypothesisCount - 1; i++) {
    const isUnlisted = i >= variantCount;
    const { id, name, rarity } = source.variants[isUnlisted ? siblings.of[i - variantCount]! : i]!;
    if (rarity === 0) continue;
    points += kept[i]! * rarity;
    shares.push({ variantId: id, name, rarity, isUnlisted, chance: kept[i]! });
  }
  return {
    points,
    originalChance: kept.reduce((sum, chance) => sum + chance, 0),
    from: shares.sort((a, b) => b.chance * b.rarity - a.chance * a.rarity).slice(0, MOST_SHARES),
  };
}
