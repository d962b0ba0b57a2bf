import { InvalidInputError } from '../model/errors.ts';
import {
  DEFAULT_SETTINGS,
  isByMeasuring,
  isMeasured,
  isSilent,
  type Answer,
  type ColourReading,
  type DatedStatement,
  type IdentifyCatalogue,
  type IdentifySettings,
} from './catalogue.ts';
import { believeRates } from './believeRates.ts';
import { computeDateWeights, isDated, selectDatedAnswers, type DatedAnswer } from './computeDateWeights.ts';
import { createFactors, type AnswerFactors } from './createFactors.ts';
import { encodeCatalogue, type EncodedCatalogue, type EncodedLook } from './encodeCatalogue.ts';

/** Below this sum of least logs a plain product could underflow (doubles end at e^-745). */
const LEAST_LOG_PRODUCT = -600;
/** Plain products are multiplied up anew after so many changes, so that rounding cannot add up. */
const CHANGES_BEFORE_REBUILD = 500;

/** The joint posterior over variant and history, and what it was made from. */
export interface Posterior {
  readonly encoded: EncodedCatalogue;
  readonly settings: IdentifySettings;
  readonly answers: readonly Answer[];
  readonly factors: readonly (AnswerFactors | null)[];
  /** [hypothesis * historyCount + history], sums to 1. */
  readonly joint: Float64Array;
  /** By hypothesis, sums to 1. */
  readonly byHypothesis: Float64Array;
  readonly dated: readonly DatedAnswer[];
  /** Weight of each quarter, [history * quarters + quarter]; null when nothing speaks of the date. */
  readonly dateWeights: Float64Array | null;
  /** Share of each hypothesis's production that the dates leave, laid out like joint; null when they leave all. */
  readonly dateShares: Float64Array | null;
  /** No quarter and variant can explain the answers together; the dates are then set aside. */
  readonly isImpossible: boolean;
  /** ln P(answers), up to a constant of the catalogue: the ratio of two posteriors' evidence is a predictive probability. */
  readonly logEvidence: number;
}

/** Holds the answers about one specimen and keeps the posterior up to date as they change. */
export interface Identifier {
  readonly encoded: EncodedCatalogue;
  /** Takes, changes or (with null) takes back the answer about a feature. Touches only what depends on it. */
  setAnswerInPlace(featureId: string, answer: Answer | null): void;
  /** What people said of this specimen's date. */
  setStatementsInPlace(statements: readonly DatedStatement[]): void;
  computePosterior(): Posterior;
}

/**
 * Joint weight of variant v, history h and quarter q: P(v) P(h) T_v(q) W_h(q) prod_f P(o_f | v, h), with T_v the
 * production span and W the range-wide dates of the states seen. Variants are as probable beforehand as they are common; what
 * the list lacks stands beside it (encodeSiblings), and at the end a stranger with nothing recorded and a flat date.
 *
 * What the bench learned of its rates is believed in place of what is stated (believeRates).
 *
 * One changed answer costs one multiplication per variant and history. The products stay in plain numbers as long as they
 * cannot underflow (two dozen answers are far from it) and move to logs when they could.
 *
 * Throws InvalidInputError for an answer about a feature or state that the catalogue does not have.
 */
export function createIdentifier(given: IdentifyCatalogue, stated: IdentifySettings = DEFAULT_SETTINGS): Identifier {
  const { catalogue, settings } = believeRates(given, stated);
  const encoded = encodeOnce(catalogue, settings);
  const { hypothesisCount, histories, looks, lookIndex } = encoded;
  const answers: (Answer | null)[] = looks.map(() => null);
  const factors: (AnswerFactors | null)[] = looks.map(() => null);
  const products = new Float64Array(hypothesisCount * histories.length).fill(1);
  const joint = new Float64Array(products.length);
  const byHypothesis = new Float64Array(hypothesisCount);
  let statements: readonly DatedStatement[] = [];
  let changes = 0;
  let isInLogs = false;
  /** ln of what the products were divided by. */
  let logScale = 0;
  let dates: ReturnType<typeof computeDates> | null = null;

  return { encoded, setAnswerInPlace, setStatementsInPlace, computePosterior };

  function setAnswerInPlace(featureId: string, answer: Answer | null): void {
    const index = lookIndex.get(featureId);
    if (index === undefined)
      throw new InvalidInputError('unknown-feature', 'This feature is not in the catalogue.', 'featureId', {
        given: featureId,
      });
    const look = looks[index]!;
    if (answer) assertAnswer(answer, look);
    const before = factors[index] ?? null;
    const after = answer && createFactors(answer, look, settings);
    if (speaksOfDate(answers[index] ?? null, look) || speaksOfDate(answer, look)) dates = null;
    answers[index] = answer;
    factors[index] = after;
    const mustBeInLogs = sumLeastLogs(factors) < LEAST_LOG_PRODUCT;
    if (mustBeInLogs || isInLogs || ++changes >= CHANGES_BEFORE_REBUILD) rebuildProducts(mustBeInLogs);
    else if (before || after) multiplyInPlace(products, look, before, after);
  }

  function rebuildProducts(inLogs: boolean): void {
    changes = 0;
    isInLogs = inLogs;
    logScale = 0;
    products.fill(inLogs ? 0 : 1);
    factors.forEach((one, i) => {
      if (one && inLogs) addLogsInPlace(products, looks[i]!, one);
      else if (one) multiplyInPlace(products, looks[i]!, null, one);
    });
    if (!inLogs) return;
    let max = -Infinity;
    for (let at = 0; at < products.length; at++) max = Math.max(max, products[at]!);
    for (let at = 0; at < products.length; at++) products[at] = Math.exp(products[at]! - max);
    logScale = max;
  }

  function setStatementsInPlace(said: readonly DatedStatement[]): void {
    statements = said;
    dates = null;
  }

  function computePosterior(): Posterior {
    const known = answers.filter((answer) => answer !== null);
    dates ??= computeDates(encoded, known, statements, settings);
    let isImpossible = false;
    let total = weighInPlace(joint, products, encoded, dates.shares);
    if (total === 0) {
      isImpossible = true;
      total = weighInPlace(joint, products, encoded, null);
    }
    const size = histories.length;
    for (let i = 0, at = 0; i < hypothesisCount; i++) {
      let sum = 0;
      for (let h = 0; h < size; h++, at++) sum += joint[at]! /= total;
      byHypothesis[i] = sum;
    }
    return {
      ...{ encoded, settings, answers: known, factors, joint, byHypothesis, isImpossible, dated: dates.dated },
      logEvidence: Math.log(total) + logScale,
      dateWeights: isImpossible ? null : dates.weights,
      dateShares: isImpossible ? null : dates.shares,
    };
  }
}

/** Encoding depends on catalogue and settings alone: worked out once for each pair. */
const encodedOf = new WeakMap<IdentifyCatalogue, WeakMap<IdentifySettings, EncodedCatalogue>>();

function encodeOnce(catalogue: IdentifyCatalogue, settings: IdentifySettings): EncodedCatalogue {
  let bySettings = encodedOf.get(catalogue);
  if (!bySettings) encodedOf.set(catalogue, (bySettings = new WeakMap()));
  let encoded = bySettings.get(settings);
  if (!encoded) bySettings.set(settings, (encoded = encodeCatalogue(catalogue, settings)));
  return encoded;
}

function multiplyInPlace(
  products: Float64Array,
  { classOf, classCount, altered }: EncodedLook,
  before: AnswerFactors | null,
  after: AnswerFactors | null,
): void {
  const size = altered.length;
  const ratio = new Float64Array(classCount * size).fill(1);
  for (let at = 0; at < ratio.length; at++) {
    if (after) ratio[at]! *= after.likelihood[at]!;
    if (before) ratio[at]! /= before.likelihood[at]!;
  }
  for (let i = 0, at = 0; i < classOf.length; i++) {
    const row = classOf[i]! * size;
    for (let h = 0; h < size; h++, at++) products[at]! *= ratio[row + h]!;
  }
}

function addLogsInPlace(logs: Float64Array, { classOf, altered }: EncodedLook, { likelihood }: AnswerFactors): void {
  const size = altered.length;
  const table = likelihood.map(Math.log);
  for (let i = 0, at = 0; i < classOf.length; i++) {
    const row = classOf[i]! * size;
    for (let h = 0; h < size; h++, at++) logs[at]! += table[row + h]!;
  }
}

function sumLeastLogs(factors: readonly (AnswerFactors | null)[]): number {
  let sum = 0;
  for (const one of factors) if (one) sum += Math.log(one.likelihood.reduce((a, b) => Math.min(a, b), Infinity));
  return sum;
}

/** Writes prior * product * date share and returns the sum. */
function weighInPlace(
  joint: Float64Array,
  products: Float64Array,
  { hypothesisCount, variantCount, priors, historyPriors, siblings }: EncodedCatalogue,
  shares: Float64Array | null,
): number {
  const size = historyPriors.length;
  let total = 0;
  for (let i = 0, at = 0; i < hypothesisCount; i++) {
    const prior = priors[i]!;
    const k = i - variantCount;
    const isSibling = k >= 0 && k < siblings.of.length;
    const unchanged = isSibling ? siblings.unchanged[k]! : 0;
    const row = isSibling ? siblings.of[k]! * size : 0;
    for (let h = 0; h < size; h++, at++) {
      let product = products[at]!;
      // A sibling's product holds the case that nothing was changed: that one is the variant itself.
      if (isSibling) product = Math.max(0, product - unchanged * products[row + h]!) / (1 - unchanged);
      const weight = prior * historyPriors[h]! * product * (shares ? shares[at]! : 1);
      joint[at] = weight;
      total += weight;
    }
  }
  return total;
}

function computeDates(
  encoded: EncodedCatalogue,
  answers: readonly Answer[],
  statements: readonly DatedStatement[],
  settings: IdentifySettings,
) {
  const dated = selectDatedAnswers(answers, encoded.source.features, settings);
  const weights = computeDateWeights(encoded, dated, statements, settings);
  return { dated, weights, shares: weights && computeShares(encoded, weights) };
}

/**
 * sum_q T_i(q) W_h(q), laid out like joint. The weights are level between the years that the answers name, so each span is
 * summed stretch by stretch.
 */
function computeShares({ spans, axis, histories, hypothesisCount }: EncodedCatalogue, weights: Float64Array) {
  const size = histories.length;
  const shares = new Float64Array(hypothesisCount * size);
  const { first, offset, cumulated } = spans;
  const levelUntil = findLevels(weights, axis.count, size);
  for (let i = 0; i < hypothesisCount; i++) {
    const begin = offset[i]!;
    const from = first[i]!;
    const end = from + offset[i + 1]! - begin;
    let before = 0;
    for (let q = from; q < end;) {
      const until = Math.min(end, levelUntil[q]!);
      const upTo = cumulated[begin + until - from - 1]!;
      for (let h = 0; h < size; h++) shares[i * size + h]! += (upTo - before) * weights[h * axis.count + q]!;
      before = upTo;
      q = until;
    }
  }
  return shares;
}

/** For each quarter the first later one where the weight of any history is another. */
function findLevels(weights: Float64Array, quarters: number, size: number): Int32Array {
  const until = new Int32Array(quarters).fill(quarters);
  for (let q = quarters - 2; q >= 0; q--) {
    let isLevel = true;
    for (let h = 0; h < size; h++) if (weights[h * quarters + q] !== weights[h * quarters + q + 1]) isLevel = false;
    until[q] = isLevel ? until[q + 1]! : q + 1;
  }
  return until;
}

function speaksOfDate(answer: Answer | null, { feature }: EncodedLook): boolean {
  if (!answer || !feature || isMeasured(answer)) return false;
  return feature.states.some((state) => (isByMeasuring(answer) || state.id === answer.stateId) && isDated(state));
}

function assertAnswer(answer: Answer, { feature, measure }: EncodedLook): void {
  if (isMeasured(answer)) {
    if (!measure || !(answer.valueMm > 0) || !(answer.spreadMm >= 0))
      throw new InvalidInputError('not-a-size', 'A size is a number of mm above 0, with a spread.', 'valueMm', {
        given: answer.valueMm,
      });
    return;
  }
  if (!feature)
    throw new InvalidInputError('not-a-size', `${measure!.label} is measured in mm.`, 'valueMm', { given: null });
  if (answer.captured && !answer.captured.readings.every(isColour))
    throw new InvalidInputError('not-a-colour', 'A captured colour has L*, a* and b* and their spread.', 'captured', {
      given: answer.captured.readings.length,
    });
  if (answer.sized && !(answer.sized.value > 0 && answer.sized.sd > 0))
    throw new InvalidInputError('not-a-size', 'A measured size is above 0 and has a spread.', 'sized', {
      given: answer.sized.value,
    });
  if (isSilent(answer) || answer.stateId === null) return;
  if (!feature.states.some((state) => state.id === answer.stateId))
    throw new InvalidInputError('unknown-state', `${feature.label} has no such state.`, 'stateId', {
      given: answer.stateId,
    });
}

const isColour = ({ lab, sd }: ColourReading): boolean =>
  [0, 1, 2].every((axis) => Number.isFinite(lab[axis]) && sd[axis]! >= 0);
