import type { Lab } from './colorimetry.ts';
import { computeDe00 } from './difference.ts';
import { readStep, type EyeWord } from './guide/judgeByEye.ts';

/** The two ways of each coordinate, in words. */
export const EYE_WAYS = [
  { more: 'lighter', less: 'darker' },
  { more: 'redder', less: 'greener' },
  { more: 'yellower', less: 'bluer' },
] as const;

const HOW_MUCH: Readonly<Record<EyeWord['step'], string>> = {
  none: '',
  slight: 'slightly ',
  clear: '',
  strong: 'much ',
};

/** How a colour differs from another one, as somebody would say it: "slightly darker, much bluer"; empty when it does not. */
export function describeDifference(colour: Lab, from: Lab): string {
  return EYE_WAYS.flatMap(({ more, less }, i) => {
    const { step, way } = readStep(colour[i]! - from[i]!);
    return step === 'none' ? [] : [HOW_MUCH[step] + (way > 0 ? more : less)];
  }).join(', ');
}

/** What light, air and hands did: the exposed place against the sheltered one. */
export function describeFade(sheltered: Lab, exposed: Lab): { readonly de: number; readonly words: string } {
  return { de: computeDe00(sheltered, exposed), words: describeDifference(exposed, sheltered) };
}
