import { isByMeasuring, isMeasured, isSilent, type Answer, type IdentifySettings } from './catalogue.ts';
import { CALIPER_MM, measureRange, type EncodedLook } from './encodeCatalogue.ts';
import { readingChance } from './readingChance.ts';
import { weighMeasured } from './weighMeasured.ts';

/** What one answer says, by class of variants and history: [class * historyCount + history]. */
export interface AnswerFactors {
  /** P(o | v, h), the same for all variants of a class. */
  readonly likelihood: Float64Array;
  /** Chance that the feature was altered, given the answer, the class and the history. */
  readonly altered: Float64Array;
}

/** A statement "replaced" excludes a history that alters nothing, but never all of them. */
const LEAST_REPLACED = 1e-6;

/**
 * P(o | v, h) = (1 - a) C(o | state(v, f)) + a B(o), with a = a_f of the history and B even over the states: nothing is
 * known of what a replacement looks like. A variant with no record of the feature is even too.
 *
 * Captured colours and measured sizes stand in the place of C and B (weighMeasured), with the eye's word beside them.
 *
 * "Replaced" means the feature was altered, so the answer has the chance a itself and its state says nothing of the
 * variant. A measured size has a normal error (measuring and casting tolerance), mixed with a small chance of a mistake
 * anywhere in the range. Returns null for an answer that says nothing.
 */
export function createFactors(answer: Answer, look: EncodedLook, settings: IdentifySettings): AnswerFactors | null {
  if (isSilent(answer)) return null;
  if (isMeasured(answer)) return measureFactors(answer.valueMm, answer.spreadMm, look, settings);
  if (answer.certainty === 'replaced') return replacedFactors(look);
  const feature = look.feature!;
  if (isByMeasuring(answer)) {
    const { ofState, ofAny } = weighMeasured(answer, feature, settings);
    return stateFactors(ofState, ofAny, look);
  }
  const right = settings.readingRight[answer.certainty as 'sure' | 'likely' | 'unsure'];
  const reading = feature.states.map((truth) => readingChance(answer.stateId!, truth.id, feature, right));
  return stateFactors(reading, 1 / look.outcomeCount, look);
}

/** `reading`: by state, how likely the answer is where the model has it; `even` where nothing is known of what it has. */
function stateFactors(reading: readonly number[], even: number, look: EncodedLook): AnswerFactors {
  const { classCount, outcomeCount, classValues, altered } = look;
  const histories = altered.length;
  const factors = createEmpty(classCount, histories);
  for (let c = 0; c < classCount; c++) {
    let original = c === 0 ? even : 0;
    if (c > 0) for (let s = 0; s < outcomeCount; s++) original += classValues[c * outcomeCount + s]! * reading[s]!;
    for (let h = 0; h < histories; h++) {
      const changed = altered[h]! * even;
      const likelihood = (1 - altered[h]!) * original + changed;
      factors.likelihood[c * histories + h] = likelihood;
      factors.altered[c * histories + h] = likelihood > 0 ? changed / likelihood : 0;
    }
  }
  return factors;
}

function replacedFactors({ classCount, altered }: EncodedLook): AnswerFactors {
  const factors = createEmpty(classCount, altered.length);
  factors.altered.fill(1);
  for (let at = 0; at < factors.likelihood.length; at++)
    factors.likelihood[at] = Math.max(LEAST_REPLACED, altered[at % altered.length]!);
  return factors;
}

function measureFactors(
  valueMm: number,
  spreadMm: number,
  look: EncodedLook,
  settings: IdentifySettings,
): AnswerFactors {
  const { classCount, classValues, altered } = look;
  const measure = look.measure!;
  const { fromMm, toMm } = measureRange(measure, classValues);
  const sd = Math.hypot(Math.max(spreadMm, CALIPER_MM / 10), measure.toleranceMm);
  const anywhere = 1 / (toMm - fromMm);
  const factors = createEmpty(classCount, altered.length);
  for (let c = 0; c < classCount; c++) {
    const z = (valueMm - classValues[c]!) / sd;
    const bell = Math.exp(-0.5 * z * z) / (sd * Math.sqrt(2 * Math.PI));
    const likelihood = c === 0 ? anywhere : (1 - settings.measureWrong) * bell + settings.measureWrong * anywhere;
    factors.likelihood.fill(likelihood, c * altered.length, (c + 1) * altered.length);
  }
  return factors;
}

const createEmpty = (classCount: number, histories: number): AnswerFactors => ({
  likelihood: new Float64Array(classCount * histories),
  altered: new Float64Array(classCount * histories),
});
