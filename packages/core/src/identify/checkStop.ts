import type { ExpectedLoss } from './computeExpectedLoss.ts';
import type { Foreseen } from './foreseeLooks.ts';

export interface StopCheck {
  /** Going on is expected to cost more than the house allows. */
  readonly isHeld: boolean;
  readonly loss: ExpectedLoss;
  readonly threshold: number;
  /** The harmless look that would settle it best; null when none would. */
  readonly settledBy: SettlingLook | null;
}

export interface SettlingLook {
  readonly featureId: string;
  readonly effort: number;
  /** Chance that after it the step may go on. */
  readonly clears: number;
  /** Chance that after it the model is known and better left alone. */
  readonly confirms: number;
}

/** A leader this probable is taken as known. */
const KNOWN = 0.95;
const LEAST_USE = 0.05;

/** Whether an irreversible step is held back, and which harmless look would settle it. */
export function checkStop(
  loss: ExpectedLoss,
  threshold: number,
  foreseen: readonly Foreseen[],
  leaderProbability: number,
): StopCheck {
  const isHeld = loss.points > threshold;
  return {
    isHeld,
    loss,
    threshold,
    settledBy: isHeld ? findSettlingLook(foreseen, threshold, leaderProbability >= KNOWN) : null,
  };
}

/** Where the model is known already, only a look that may clear the way settles anything. */
function findSettlingLook(foreseen: readonly Foreseen[], threshold: number, isKnown: boolean): SettlingLook | null {
  const looks = new Map<string, { featureId: string; effort: number; clears: number; confirms: number }>();
  for (const one of foreseen) {
    if (one.destroys !== '') continue;
    const look = looks.get(one.featureId) ?? { featureId: one.featureId, effort: one.effort, clears: 0, confirms: 0 };
    if (one.lossPoints <= threshold) look.clears += one.probability;
    else if (one.leaderProbability >= KNOWN) look.confirms += one.probability;
    looks.set(one.featureId, look);
  }
  const use = (look: SettlingLook) => look.clears + (isKnown ? 0 : look.confirms);
  const [best] = [...looks.values()]
    .filter((look) => use(look) >= LEAST_USE)
    .sort((a, b) => use(b) - use(a) || b.clears - a.clears || a.effort - b.effort);
  return best ?? null;
}
