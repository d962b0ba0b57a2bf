import { InvalidInputError } from '../model/errors.ts';
import {
  DEFAULT_SETTINGS,
  isByMeasuring,
  isMeasured,
  isSilent,
  type Answer,
  type DatedStatement,
  type IdentifyCatalogue,
  type IdentifySettings,
  type IdentifyVariant,
} from './catalogue.ts';
import { computeDateDensity } from './computeDateDensity.ts';
import { computeDateSpan, type DateSpan } from './computeDateSpan.ts';
import { computeAlteredChances, computeEvidence, sumHistories, type EvidenceWeight } from './computeEvidence.ts';
import { computeHardBounds, type HardBounds } from './computeHardBounds.ts';
import { createIdentifier, type Identifier, type Posterior } from './createIdentifier.ts';
import { draftIssue, type IssueDraft } from './draftIssue.ts';
import type { QuarterAxis } from './quarters.ts';
import { selectMass } from './selectMass.ts';
import { shareStates, type MeasuredState } from './weighMeasured.ts';

export interface RankedVariant {
  readonly variantId: string;
  readonly name: string;
  readonly castingId: string;
  readonly probability: number;
}

export interface RankedCasting {
  readonly castingId: string;
  readonly name: string;
  readonly probability: number;
}

export interface RankedHistory {
  readonly key: string;
  readonly label: string;
  readonly probability: number;
}

export interface Identification {
  /** The most probable variants, best first; at most `MOST_RANKED`. */
  readonly ranked: readonly RankedVariant[];
  readonly variantCount: number;
  /** The most probable castings, best first; one entry where the casting is known. */
  readonly castings: readonly RankedCasting[];
  /** Probability that the specimen is none of the catalogue's variants. */
  readonly noneProbability: number;
  /** The variant that an issue nobody listed would most probably be like, with its share; null where the list is whole. */
  readonly nearest: RankedVariant | null;
  /** Some lists are not complete, but the catalogue is too large to count with what they lack (MOST_WITH_SIBLINGS). */
  readonly isTakenWhole: boolean;
  /** Most probable first. */
  readonly histories: readonly RankedHistory[];
  /** Probability of the history that alters nothing. */
  readonly untouchedProbability: number;
  readonly evidence: readonly EvidenceWeight[];
  /** featureId -> chance that it was altered after it left the factory; looks not taken included. */
  readonly alteredChances: Readonly<Record<string, number>>;
  readonly axis: QuarterAxis;
  /** Probability per quarter. */
  readonly dateDensity: Float64Array;
  readonly date: DateSpan;
  readonly bounds: HardBounds;
  /** featureId -> what was measured says of each state, the likeliest first; no entry where nothing was. */
  readonly measured: Readonly<Record<string, readonly MeasuredState[]>>;
  /** What the specimen shows, as it could be written down as an issue. */
  readonly issue: IssueDraft;
  /** No quarter and variant can explain the answers together; the dates are then set aside. */
  readonly impossible: boolean;
}

const MOST_RANKED = 40;

/**
 * Everything that the answers so far say of a specimen: see createIdentifier for the model. An empty catalogue leaves only
 * "none". Throws InvalidInputError for an answer about a feature or state that the catalogue does not have.
 */
export function identifySpecimen(
  catalogue: IdentifyCatalogue,
  answers: readonly Answer[],
  settings: IdentifySettings = DEFAULT_SETTINGS,
  statements: readonly DatedStatement[] = [],
): Identification {
  return describePosterior(answerAll(catalogue, answers, settings, statements).computePosterior());
}

/** An identifier with all answers given. The error names the answer that does not fit. */
export function answerAll(
  catalogue: IdentifyCatalogue,
  answers: readonly Answer[],
  settings: IdentifySettings = DEFAULT_SETTINGS,
  statements: readonly DatedStatement[] = [],
): Identifier {
  const identifier = createIdentifier(catalogue, settings);
  identifier.setStatementsInPlace(statements);
  answers.forEach((answer, i) => {
    try {
      identifier.setAnswerInPlace(answer.featureId, answer);
    } catch (error) {
      if (!(error instanceof InvalidInputError)) throw error;
      throw new InvalidInputError(error.code, error.message, `answers[${i}].${error.path}`, error.details);
    }
  });
  return identifier;
}

/** A posterior in the field's terms. */
export function describePosterior(posterior: Posterior): Identification {
  const { encoded, byHypothesis, dated, isImpossible } = posterior;
  const { variantCount, histories, untouched, source, axis } = encoded;
  const sample = selectMass(posterior);
  const dates = computeDateDensity(posterior, sample);
  const leading = selectLeading(byHypothesis, variantCount, MOST_RANKED);
  const leader = leading.length && byHypothesis[leading[0]!]! > 0 ? leading[0]! : encoded.hypothesisCount - 1;
  const chances = sumHistories(sample, histories.length);
  const altered = computeAlteredChances(posterior, sample, dates);
  const date = computeDateSpan(axis, dates.density);
  return {
    ranked: leading.map((i) => rankVariant(source.variants[i]!, byHypothesis[i]!)),
    variantCount,
    castings: rankCastings(posterior),
    noneProbability: sumUnlisted(posterior),
    nearest: findNearest(posterior),
    isTakenWhole: encoded.siblings.of.length === 0 && Object.values(source.unlisted ?? {}).some((chance) => chance > 0),
    histories: histories
      .map(({ key, label }, h) => ({ key, label, probability: chances[h]! }))
      .sort((a, b) => b.probability - a.probability),
    untouchedProbability: untouched < 0 ? 0 : chances[untouched]!,
    evidence: computeEvidence(posterior, sample, leader),
    alteredChances: Object.fromEntries(altered),
    axis,
    dateDensity: dates.density,
    date,
    measured: describeMeasured(posterior),
    issue: draftIssue(source, posterior.answers, altered, date, posterior.settings),
    bounds: computeHardBounds(dated),
    impossible: isImpossible,
  };
}

const describeMeasured = ({ answers, encoded: { source }, settings }: Posterior) =>
  Object.fromEntries(
    answers.flatMap((answer) => {
      const feature = source.features.find(({ id }) => id === answer.featureId);
      if (isMeasured(answer) || isSilent(answer) || !isByMeasuring(answer) || !feature) return [];
      return [[answer.featureId, shareStates(answer, feature, settings)]];
    }),
  );

const rankVariant = ({ id, name, castingId }: IdentifyVariant, probability: number): RankedVariant => ({
  ...{ variantId: id, name, castingId, probability },
});

/** Probability of all that the list lacks: siblings of its variants, and strangers. */
export function sumUnlisted({ byHypothesis, encoded }: Posterior): number {
  let sum = 0;
  for (let i = encoded.variantCount; i < byHypothesis.length; i++) sum += byHypothesis[i]!;
  return sum;
}

function findNearest({ byHypothesis, encoded }: Posterior): RankedVariant | null {
  const { variantCount, siblings, source } = encoded;
  const [k] = selectLeading(byHypothesis.subarray(variantCount), siblings.of.length, 1);
  if (k === undefined) return null;
  return rankVariant(source.variants[siblings.of[k]!]!, byHypothesis[variantCount + k]!);
}

const MOST_CASTINGS = 5;

function rankCastings({ encoded, byHypothesis }: Posterior): RankedCasting[] {
  const { castingIds, castingOf, source } = encoded;
  const sums = new Float64Array(castingIds.length);
  for (let i = 0; i < castingOf.length; i++) sums[castingOf[i]!]! += byHypothesis[i]!;
  return selectLeading(sums, sums.length, MOST_CASTINGS).map((i) => {
    const castingId = castingIds[i]!;
    return { castingId, name: source.castingNames?.[castingId] ?? castingId, probability: sums[i]! };
  });
}

/** Indices of the `most` largest, best first; ties go to the earlier. One pass with a short sorted list. */
function selectLeading(probabilities: Float64Array, count: number, most: number): number[] {
  const leading: number[] = [];
  let bar = -1;
  for (let i = 0; i < count; i++) {
    const p = probabilities[i]!;
    if (leading.length === most && p <= bar) continue;
    let at = leading.length;
    while (at > 0 && probabilities[leading[at - 1]!]! < p) at--;
    leading.splice(at, 0, i);
    if (leading.length > most) leading.pop();
    if (leading.length === most) bar = probabilities[leading[most - 1]!]!;
  }
  return leading;
}
