import type { MixStep } from '../../model/colour.ts';
import type { LabColour } from '../../model/reading.ts';
import { learnEye, type EyePair } from './judgeByEye.ts';
import type { Eyes } from './listReadings.ts';
import { isSameMix } from './patch.ts';
import { replayMix } from './replayMix.ts';

/** The eyes of a house, each learned from patches that it judged and that were measured too, with nothing poured between. */
export function learnEyes(mixes: readonly { readonly target: LabColour; readonly steps: readonly MixStep[] }[]): Eyes {
  const pairs = new Map<string, EyePair[]>();
  for (const { target, steps } of mixes) {
    const { patches } = replayMix(steps);
    for (const { step, reading, volumes } of patches) {
      if (!reading.words) continue;
      const measured = patches.find((one) => one.reading.how !== 'by eye' && isSameMix(one, { volumes }));
      if (!measured) continue;
      const [lightness, redGreen, yellowBlue] = reading.words;
      const off = measured.reading.lab.map((value, c) => value - target[c]!);
      const pair = { judged: { lightness, redGreen, yellowBlue }, measured: [off[0]!, off[1]!, off[2]!] } as const;
      pairs.set(step.who, [...(pairs.get(step.who) ?? []), pair]);
    }
  }
  return Object.fromEntries([...pairs].map(([who, own]) => [who, learnEye(own)]));
}
