import type { Answer, DatedStatement } from './catalogue.ts';
import { isMeasured } from './catalogue.ts';
import { checkStop, type StopCheck } from './checkStop.ts';
import { computeExpectedLoss } from './computeExpectedLoss.ts';
import { computeNextLooks, rankLooks, type NextLook, type Question } from './computeNextLooks.ts';
import type { Identifier } from './createIdentifier.ts';
import { foreseeLooks, selectMindChangers, type Foreseen } from './foreseeLooks.ts';
import { describePosterior, type Identification } from './identifySpecimen.ts';

/** Everything that is said of a specimen. */
export interface IdentifyReport {
  readonly identification: Identification;
  /** Looks not taken yet, those that tell most about the question for their effort first. */
  readonly looks: readonly NextLook[];
  readonly mindChangers: readonly Foreseen[];
  readonly stop: StopCheck;
}

/** Above this size only the most telling looks are tried out state by state. */
const SMALL_CATALOGUE = 2000;
const MOST_FORESEEN = 6;

/** `question`: what the next looks should settle. `threshold`: the expected loss that the house allows, in rarity points. */
export function createReport(
  identifier: Identifier,
  threshold: number,
  question: Question = 'variant',
): IdentifyReport {
  const posterior = identifier.computePosterior();
  const identification = describePosterior(posterior);
  const looks = rankLooks(computeNextLooks(posterior, question));
  const loss = computeExpectedLoss(posterior);
  const telling = looks.map((look) => look.featureId);
  const isSmall = posterior.encoded.variantCount <= SMALL_CATALOGUE;
  const foreseen = foreseeLooks(identifier, isSmall ? telling : telling.slice(0, MOST_FORESEEN));
  const [leader] = identification.ranked;
  const leaderId = leader && leader.probability >= identification.noneProbability ? leader.variantId : null;
  return {
    identification,
    looks,
    mindChangers: selectMindChangers(foreseen, leaderId),
    stop: checkStop(loss, threshold, foreseen, leader?.probability ?? 0),
  };
}

/** Brings an identifier to these answers; only what differs is touched. */
export function syncAnswersInPlace(
  identifier: Identifier,
  before: readonly Answer[],
  after: readonly Answer[],
  statements: readonly DatedStatement[],
): void {
  const old = new Map(before.map((answer) => [answer.featureId, answer]));
  for (const answer of after) {
    const known = old.get(answer.featureId);
    if (!known || !isSame(known, answer)) identifier.setAnswerInPlace(answer.featureId, answer);
    old.delete(answer.featureId);
  }
  for (const featureId of old.keys()) identifier.setAnswerInPlace(featureId, null);
  identifier.setStatementsInPlace(statements);
}

function isSame(a: Answer, b: Answer): boolean {
  if (isMeasured(a) || isMeasured(b))
    return isMeasured(a) && isMeasured(b) && a.valueMm === b.valueMm && a.spreadMm === b.spreadMm;
  return (
    a.stateId === b.stateId &&
    a.certainty === b.certainty &&
    JSON.stringify([a.captured, a.sized]) === JSON.stringify([b.captured, b.sized])
  );
}
