import { computeClassMass } from './computeClassMass.ts';
import { isDated, leakOutside, selectOutside } from './computeDateWeights.ts';
import type { Posterior } from './createIdentifier.ts';
import type { EncodedLook } from './encodeCatalogue.ts';
import { createSampleDates, type SampleDates } from './createSampleDates.ts';
import { selectMass, thinSample, type MassSample } from './selectMass.ts';
import { entropyTerm, mutualInformation } from '../numeric/entropy.ts';

export const QUESTIONS = ['variant', 'date', 'original'] as const;
/** Which issue is it, when was it made, is it untouched. */
export type Question = (typeof QUESTIONS)[number];

export interface NextLook {
  readonly featureId: string;
  readonly effort: number;
  readonly destroys: string;
  /** Expected drop in the entropy of the answer to the question, in bits. */
  readonly gainBits: number;
}

/** Dates are weighed quarter by quarter on a thinner sample; small catalogues are summed whole. */
const DATE_SAMPLE = 500;

/** Below this a look tells too little about a question to be named, in bits. */
export const WORTH_A_LOOK_BITS = 0.05;

/**
 * Every look not taken yet with what it is expected to tell about a question.
 *
 * Gain is the mutual information between the question and a sure reading: H(o) - sum_x p(x) H(o | x) (T. M. Cover and
 * J. A. Thomas, Elements of Information Theory, 1991, ch. 2). A reading that would cut the dates is weighed with its cut.
 */
export function computeNextLooks(posterior: Posterior, question: Question): NextLook[] {
  const { encoded, answers } = posterior;
  const answered = new Set(answers.map((answer) => answer.featureId));
  const open = encoded.looks.filter((look) => !answered.has(look.id));
  const sample = selectMass(posterior);
  const dateSample = thinSample(sample, DATE_SAMPLE);
  const dates = createSampleDates(posterior, dateSample);
  const gainOf = (look: EncodedLook): number => {
    const cut = look.feature?.states.some(isDated) ? createCut(look, posterior, dates) : null;
    if (question === 'date') return gainOfDate(look, posterior, dateSample, dates, cut);
    const [variant, original] = cut
      ? gainsWithDates(look, posterior, dateSample, cut)
      : gainsWithoutDates(look, posterior, sample);
    return question === 'variant' ? variant : original;
  };
  return open.map((look) => ({
    ...{ featureId: look.id, effort: look.effort, destroys: look.destroys },
    gainBits: gainOf(look),
  }));
}

/**
 * Best first by gain per effort. A look that destroys something comes after every harmless one that would tell enough to
 * be named.
 */
export function rankLooks(looks: readonly NextLook[]): NextLook[] {
  const isHeldBack = (look: NextLook) => look.destroys !== '';
  const isUseful = (look: NextLook) => look.gainBits >= WORTH_A_LOOK_BITS;
  const classOf = (look: NextLook) => (isHeldBack(look) ? (isUseful(look) ? 1 : 3) : isUseful(look) ? 0 : 2);
  const rate = (look: NextLook) => look.gainBits / look.effort;
  return [...looks].sort(
    (a, b) =>
      classOf(a) - classOf(b) || rate(b) - rate(a) || a.effort - b.effort || (a.featureId < b.featureId ? -1 : 1),
  );
}

/** Variant and original, for a look whose states carry no dates: by classes, then per hypothesis only an entropy. */
function gainsWithoutDates(look: EncodedLook, { encoded }: Posterior, sample: MassSample): [number, number] {
  const { outcomeCount: outcomes, sureReading, altered } = look;
  const size = altered.length;
  const even = 1 / outcomes;
  const mass = computeClassMass(sample, look);
  const marginal = new Float64Array(outcomes);
  const untouched = new Float64Array(outcomes);
  for (let c = 0; c < look.classCount; c++) {
    for (let h = 0; h < size; h++) {
      const m = mass[c * size + h]!;
      if (m === 0) continue;
      for (let o = 0; o < outcomes; o++) {
        const p = m * ((1 - altered[h]!) * sureReading[c * outcomes + o]! + altered[h]! * even);
        marginal[o]! += p;
        if (h === encoded.untouched) untouched[o]! += p;
      }
    }
  }
  const distinct = selectDistinct(look);
  let conditional = 0;
  for (let s = 0, at = 0; s < sample.index.length; s++) {
    let a = 0;
    for (let h = 0; h < size; h++, at++) a += sample.history[at]! * altered[h]!;
    const c = look.classOf[sample.index[s]!]!;
    let entropy = 0;
    for (let k = distinct.begin[c]!; k < distinct.begin[c + 1]!; k++) {
      const p = (1 - a) * distinct.values[k]! + a * even;
      if (p > 0) entropy -= distinct.counts[k]! * p * Math.log2(p);
    }
    conditional += sample.weight[s]! * entropy;
  }
  const gain = marginal.reduce((sum, p) => sum + entropyTerm(p), 0) - conditional;
  return [Math.max(0, gain), splitGain(marginal, untouched)];
}

/** The different values in each row of the reading table with how often they occur: most outcomes of a row are alike. */
function selectDistinct({ classCount, outcomeCount, sureReading }: EncodedLook) {
  const begin = new Int32Array(classCount + 1);
  const values: number[] = [];
  const counts: number[] = [];
  for (let c = 0; c < classCount; c++) {
    for (let o = 0; o < outcomeCount; o++) {
      const value = sureReading[c * outcomeCount + o]!;
      const known = values.indexOf(value, begin[c]);
      if (known >= 0) counts[known]!++;
      else {
        values.push(value);
        counts.push(1);
      }
    }
    begin[c + 1] = values.length;
  }
  return { begin, values, counts };
}

/** What a sure reading of each state leaves: [sample * histories + history][outcome] as a factor. */
type Cut = (s: number, h: number, outcome: number) => number;

function createCut(look: EncodedLook, { encoded, settings }: Posterior, dates: SampleDates): Cut {
  const { states, group } = look.feature!;
  const isHard = group === 'body casting';
  const outside = states.map((state) => (isDated(state) ? selectOutside(state, encoded.axis) : null));
  const firstInside = outside.map((quarters) => (quarters ? firstGap(quarters) : 0));
  const lastInside = outside.map((quarters, o) =>
    quarters ? firstInside[o]! + encoded.axis.count - quarters.length : encoded.axis.count,
  );
  return (s, h, o) => {
    if (!outside[o]) return 1;
    const inside = dates.massBetween(s, h, firstInside[o]!, lastInside[o]!);
    return inside + (1 - inside) * leakOutside(isHard, look.altered[h]!, settings.readingRight.sure);
  };
}

/** The outside quarters are a run at the beginning and a run at the end: where does the inside begin? */
function firstGap(outside: readonly number[]): number {
  const gap = outside.findIndex((quarter, i) => quarter !== i);
  return gap < 0 ? outside.length : gap;
}

function gainsWithDates(look: EncodedLook, { encoded }: Posterior, sample: MassSample, cut: Cut): [number, number] {
  const { outcomeCount: outcomes, sureReading, altered } = look;
  const size = altered.length;
  const rows: Float64Array[] = [];
  const byUntouched = [new Float64Array(outcomes), new Float64Array(outcomes)];
  for (let s = 0; s < sample.index.length; s++) {
    const row = new Float64Array(outcomes);
    const c = look.classOf[sample.index[s]!]!;
    for (let h = 0; h < size; h++) {
      const weight = sample.weight[s]! * sample.history[s * size + h]!;
      if (weight === 0) continue;
      for (let o = 0; o < outcomes; o++) {
        const reading = (1 - altered[h]!) * sureReading[c * outcomes + o]! + altered[h]! / outcomes;
        const p = weight * reading * cut(s, h, o);
        row[o]! += p;
        byUntouched[h === encoded.untouched ? 0 : 1]![o]! += p;
      }
    }
    rows.push(row);
  }
  return [mutualInformation(rows), mutualInformation(byUntouched)];
}

/** Mutual information of a two-way split, given the marginal and one side. */
function splitGain(marginal: Float64Array, one: Float64Array): number {
  return mutualInformation([one, marginal.map((p, o) => Math.max(0, p - one[o]!))]);
}

/** The date, quarter by quarter, with the classes that the sample has summed up first. */
function gainOfDate(
  look: EncodedLook,
  posterior: Posterior,
  sample: MassSample,
  dates: SampleDates,
  cut: Cut | null,
): number {
  const { axis, histories } = posterior.encoded;
  const { outcomeCount: outcomes, sureReading, altered } = look;
  const quarters = axis.count;
  const size = histories.length;
  const layers = cut ? size : 1;
  const { classes, rankOf } = selectUsedClasses(look, sample);
  const kept = new Float64Array(layers * classes.length * quarters);
  const changed = new Float64Array(layers * quarters);
  for (let s = 0; s < sample.index.length; s++) {
    const c = rankOf[look.classOf[sample.index[s]!]!]!;
    for (let h = 0; h < size; h++) {
      const layer = cut ? h : 0;
      const weight = sample.weight[s]! * sample.history[s * size + h]!;
      if (weight === 0) continue;
      dates.addInPlace(s, h, weight * (1 - altered[h]!), kept, (layer * classes.length + c) * quarters);
      if (altered[h]! > 0) dates.addInPlace(s, h, (weight * altered[h]!) / outcomes, changed, layer * quarters);
    }
  }
  const rows = Array.from({ length: quarters }, () => new Float64Array(outcomes));
  const outside = Array.from({ length: outcomes }, (_, o) => (cut ? selectOutsideSet(look, o, posterior) : null));
  for (let layer = 0; layer < layers; layer++) {
    const leak = leakOutside(look.group === 'body casting', altered[layer]!, posterior.settings.readingRight.sure);
    for (let q = 0; q < quarters; q++) {
      const row = rows[q]!;
      for (let o = 0; o < outcomes; o++) {
        const p = changed[layer * quarters + q]!;
        if (p > 0) row[o]! += outside[o]?.has(q) ? p * leak : p;
      }
      for (let c = 0; c < classes.length; c++) {
        const mass = kept[(layer * classes.length + c) * quarters + q]!;
        if (mass === 0) continue;
        const from = classes[c]! * outcomes;
        for (let o = 0; o < outcomes; o++) {
          const p = mass * sureReading[from + o]!;
          row[o]! += outside[o]?.has(q) ? p * leak : p;
        }
      }
    }
  }
  return mutualInformation(rows);
}

/** A large catalogue has many classes of which a sample holds few. */
function selectUsedClasses({ classOf, classCount }: EncodedLook, { index }: MassSample) {
  const rankOf = new Int32Array(classCount).fill(-1);
  const classes: number[] = [];
  for (const i of index) {
    const c = classOf[i]!;
    if (rankOf[c]! < 0) rankOf[c] = classes.push(c) - 1;
  }
  return { classes, rankOf };
}

function selectOutsideSet({ feature }: EncodedLook, o: number, { encoded }: Posterior): Set<number> | null {
  const state = feature!.states[o]!;
  return isDated(state) ? new Set(selectOutside(state, encoded.axis)) : null;
}
