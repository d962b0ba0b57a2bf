import type { MixStep, PatchReading, WetReading } from '../../model/colour.ts';
import type { Lab } from '../colorimetry.ts';
import { predictDry, type DryingShift } from '../wetToDry.ts';
import { isSameMix, type Patch } from './patch.ts';
import { isClearlyOff, UNKNOWN_EYE, type Eye } from './judgeByEye.ts';
import { readCup } from './readCup.ts';
import { replayMix, type MixState } from './replayMix.ts';

/** A reading of the mix that can be learned from, and the line of the log that holds it. */
export interface Reading extends Patch {
  readonly stepId: string;
}

/** How somebody's eye differs from an instrument, by who logged the patch. */
export type Eyes = Readonly<Record<string, Eye>>;

/** As finely as an instrument reads, where an older log does not say it. */
const USUAL_SD = [0.3, 0.3, 0.3] as const;

/**
 * All that was read of a mix, in the order of its log: dried patches as they are, wet ones that never were seen dry as they will
 * probably be, with the spread of that; a glance with what its eye may always see wrong. Volumes stand as `productIds` of the
 * state do.
 */
export function listReadings(state: MixState, steps: readonly MixStep[], drying: DryingShift, eyes: Eyes): Reading[] {
  const placeOf = ({ stepId }: Reading) => steps.findIndex((step) => step.id === stepId);
  const dry = listDry(state, eyes);
  const wet = listWet(state, drying, eyes).filter((one) => !dry.some((other) => isSameMix(one, other)));
  return [...dry, ...wet].sort((a, b) => placeOf(a) - placeOf(b));
}

/** dE00 of a mix from what is wanted, by its dried patches; null before the first. The page and the record say the same. */
export function computeMixDistance(steps: readonly MixStep[], target: Lab): number | null {
  return readCup(listDry(replayMix(steps), {}), target)?.de ?? null;
}

const fill = ({ productIds }: MixState, volumes: readonly number[]) => productIds.map((_, i) => volumes[i] ?? 0);

/** Of somebody whose eye was never compared nothing is known. */
export const eyeOf = (eyes: Eyes, who: string): Eye => (Object.hasOwn(eyes, who) ? eyes[who]! : UNKNOWN_EYE);

/** What an eye adds to a reading: its own doubt, and whether it saw the colour clearly off. */
const seenBy = (
  { how, words }: Pick<PatchReading | WetReading, 'how' | 'words'>,
  who: string,
  eyes: Eyes,
): Pick<Patch, 'eyeSd' | 'isOff'> => ({
  ...(how === 'by eye' ? { eyeSd: eyeOf(eyes, who).sd } : {}),
  ...(words ? { isOff: isClearlyOff(words) } : {}),
});

const listDry = (state: MixState, eyes: Eyes): Reading[] =>
  state.patches.map(({ step, reading, volumes }) => ({
    ...{ stepId: step.id, volumes: fill(state, volumes), lab: reading.lab, sd: reading.sd },
    ...seenBy(reading, step.who, eyes),
  }));

const listWet = (state: MixState, drying: DryingShift, eyes: Eyes): Reading[] =>
  state.wets.map(({ step, reading, volumes }) => {
    const expected = predictDry(reading.lab, drying);
    const own = reading.sd ?? USUAL_SD;
    return {
      ...{ stepId: step.id, volumes: fill(state, volumes), lab: expected.lab },
      sd: [0, 1, 2].map((c) => Math.hypot(expected.sd[c]!, own[c]!)) as unknown as Lab,
      ...seenBy(reading, step.who, eyes),
      isWet: true,
    };
  });
