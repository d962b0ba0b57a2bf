import type { Lab } from '../colorimetry.ts';

/** How far a patch is off in one way, as said without an instrument. */
export const STEPS = ['none', 'slight', 'clear', 'strong'] as const;
export type Step = (typeof STEPS)[number];

/** One coordinate in words: how much, and which way. */
export interface EyeWord {
  readonly step: Step;
  /** 1: lighter, redder, yellower than wanted; -1: darker, greener, bluer. */
  readonly way: 1 | -1;
}

export interface EyeJudgement {
  readonly lightness: EyeWord;
  readonly redGreen: EyeWord;
  readonly yellowBlue: EyeWord;
}

/**
 * What a step stands for in Lab, and how sure that is (planning estimates): the middle of what reads as it, and the spread of
 * that range with an eye that is unsure by 0.4 and a quarter of the difference.
 */
const MEANING: Readonly<Record<Step, { readonly value: number; readonly sd: number }>> = {
  none: { value: 0, sd: 0.55 },
  slight: { value: 1.2, sd: 0.8 },
  clear: { value: 3, sd: 1.4 },
  strong: { value: 7, sd: 3 },
};
/** The boundaries between steps. */
const BOUNDS = [0.6, 2, 4.5] as const;

/** The step that a difference reads as. */
export function readStep(difference: number): EyeWord {
  const size = Math.abs(difference);
  const step = size < BOUNDS[0] ? 'none' : size < BOUNDS[1] ? 'slight' : size < BOUNDS[2] ? 'clear' : 'strong';
  return { step, way: difference < 0 ? -1 : 1 };
}

/** What one restorer's eye always sees otherwise than an instrument: seen minus measured, in Lab. */
export interface Eye {
  readonly bias: Lab;
  readonly sd: Lab;
  /** Patches that were judged and measured. */
  readonly pairs: number;
}

/** One patch, judged in words and measured, both as a difference from what was wanted. */
export interface EyePair {
  readonly judged: EyeJudgement;
  readonly measured: Lab;
}

/** An eye that was never compared may be off by so much in each coordinate (planning estimate). */
const EYE_BIAS_SD = 0.3;
export const UNKNOWN_EYE: Eye = { bias: [0, 0, 0], sd: [EYE_BIAS_SD, EYE_BIAS_SD, EYE_BIAS_SD], pairs: 0 };

/** Learns an eye from patches that it judged and an instrument measured: normal prior, normal spread of the words. */
export function learnEye(pairs: readonly EyePair[]): Eye {
  const learned = [0, 1, 2].map((c) => {
    let weight = 1 / EYE_BIAS_SD ** 2;
    let sum = 0;
    for (const { judged, measured } of pairs) {
      const { step, way } = wordsOf(judged)[c]!;
      const own = 1 / MEANING[step].sd ** 2;
      weight += own;
      sum += own * (way * MEANING[step].value - measured[c]!);
    }
    return { bias: sum / weight, sd: Math.sqrt(1 / weight) };
  });
  const of = (pick: (one: (typeof learned)[number]) => number) => learned.map(pick) as unknown as Lab;
  return { bias: of((one) => one.bias), sd: of((one) => one.sd), pairs: pairs.length };
}

/** Somebody said of one way at least that it is clearly or strongly off. */
export const isClearlyOff = (words: readonly EyeWord[]): boolean =>
  words.some(({ step }) => step === 'clear' || step === 'strong');

const wordsOf = ({ lightness, redGreen, yellowBlue }: EyeJudgement) => [lightness, redGreen, yellowBlue];

/**
 * A judgement by eye as a measurement with its spread: the target and what the words stand for, less what this eye always
 * sees wrong. `unsureness` from 0 (sure) to 1 (unsure) widens it up to three times.
 */
export function measureByEye(
  target: Lab,
  judgement: EyeJudgement,
  unsureness = 0,
  { bias }: Eye = UNKNOWN_EYE,
): { readonly lab: Lab; readonly sd: Lab } {
  const words = wordsOf(judgement);
  const of = (pick: (word: EyeWord, i: number) => number) => words.map(pick) as unknown as Lab;
  return {
    lab: of(({ step, way }, i) => target[i]! + way * MEANING[step].value - bias[i]!),
    sd: of(({ step }) => MEANING[step].sd * (1 + 2 * Math.min(1, Math.max(0, unsureness)))),
  };
}
