import { computeExpectedLoss } from './computeExpectedLoss.ts';
import type { Identifier, Posterior } from './createIdentifier.ts';
import { sumUnlisted } from './identifySpecimen.ts';

/** What would be so if a look not taken yet showed this state for sure. */
export interface Foreseen {
  readonly featureId: string;
  readonly stateId: string;
  readonly effort: number;
  readonly destroys: string;
  /** Chance that the look shows this state. */
  readonly probability: number;
  /** null: none in the catalogue. */
  readonly leaderId: string | null;
  readonly leaderProbability: number;
  readonly lossPoints: number;
}

/**
 * Tries every state of the looks named and takes each back again; the identifier is left as it was. The chance of a state
 * is the ratio of the evidence with and without it, evened out to sum to 1 for each look.
 */
export function foreseeLooks(identifier: Identifier, featureIds: readonly string[]): Foreseen[] {
  const { looks, lookIndex } = identifier.encoded;
  return featureIds.flatMap((featureId) => {
    const look = looks[lookIndex.get(featureId) ?? -1];
    if (!look?.feature) return [];
    const outcomes = look.feature.states.map((state) => {
      identifier.setAnswerInPlace(featureId, { featureId, stateId: state.id, certainty: 'sure' });
      const posterior = identifier.computePosterior();
      const leader = findLeader(posterior);
      return {
        stateId: state.id,
        logEvidence: posterior.isImpossible ? -Infinity : posterior.logEvidence,
        ...leader,
        lossPoints: computeExpectedLoss(posterior).points,
      };
    });
    identifier.setAnswerInPlace(featureId, null);
    const top = Math.max(...outcomes.map((one) => one.logEvidence));
    const total = outcomes.reduce((sum, one) => sum + Math.exp(one.logEvidence - top), 0);
    return outcomes.map(({ logEvidence, ...outcome }) => ({
      ...{ featureId, effort: look.effort, destroys: look.destroys },
      ...outcome,
      probability: top === -Infinity ? 1 / outcomes.length : Math.exp(logEvidence - top) / total,
    }));
  });
}

/** The most probable variant, or what the list lacks where that is more probable. */
function findLeader(posterior: Posterior): Pick<Foreseen, 'leaderId' | 'leaderProbability'> {
  const { byHypothesis, encoded } = posterior;
  let leaderId: string | null = null;
  let leaderProbability = sumUnlisted(posterior);
  for (let i = 0; i < encoded.variantCount; i++) {
    if (byHypothesis[i]! <= leaderProbability) continue;
    leaderId = encoded.source.variants[i]!.id;
    leaderProbability = byHypothesis[i]!;
  }
  return { leaderId, leaderProbability };
}

/** States that would put another variant in the lead, likeliest first; harmless looks only. */
export function selectMindChangers(foreseen: readonly Foreseen[], leaderId: string | null, most = 3): Foreseen[] {
  return foreseen
    .filter((one) => one.destroys === '' && one.leaderId !== leaderId && one.probability >= LEAST_CHANCE)
    .sort((a, b) => b.probability - a.probability || a.effort - b.effort)
    .slice(0, most);
}

/** A surprise rarer than this is not worth naming. */
const LEAST_CHANCE = 0.005;
