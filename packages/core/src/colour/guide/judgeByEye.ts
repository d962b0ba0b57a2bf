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

/** What a step stands for in Lab, and how sure that is (planning estimates); the boundaries between steps. */
const MEANING: Readonly<Record<Step, { readonly value: number; readonly sd: number }>> = {
  none: { value: 0, sd: 0.45 },
  slight: { value: 1.2, sd: 0.65 },
  clear: { value: 3, sd: 1.1 },
  strong: { value: 7, sd: 3 },
};
const BOUNDS = [0.6, 2, 4.5] as const;

/** The step that a difference reads as. */
export function readStep(difference: number): EyeWord {
  const size = Math.abs(difference);
  const step = size < BOUNDS[0] ? 'none' : size < BOUNDS[1] ? 'slight' : size < BOUNDS[2] ? 'clear' : 'strong';
  return { step, way: difference < 0 ? -1 : 1 };
}

/**
 * A judgement by eye as a measurement with its spread: the target and what the words stand for. `unsureness` from 0 (sure) to
 * 1 (unsure) widens it up to three times.
 */
export function measureByEye(
  target: Lab,
  { lightness, redGreen, yellowBlue }: EyeJudgement,
  unsureness = 0,
): { readonly lab: Lab; readonly sd: Lab } {
  const words = [lightness, redGreen, yellowBlue];
  const of = (pick: (word: EyeWord, i: number) => number) => words.map(pick) as unknown as Lab;
  return {
    lab: of(({ step, way }, i) => target[i]! + way * MEANING[step].value),
    sd: of(({ step }) => MEANING[step].sd * (1 + 2 * Math.min(1, Math.max(0, unsureness)))),
  };
}
