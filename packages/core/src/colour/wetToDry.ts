import type { Finish } from '../model/work.ts';
import type { Lab } from './colorimetry.ts';

/** A paint read wet, and the same film dry. */
export interface WetDryPair {
  readonly wet: Lab;
  readonly dry: Lab;
}

export interface DryingShift {
  /** Dry minus wet in L*, C* and hue angle (degrees). */
  readonly shift: readonly [dl: number, dc: number, dh: number];
  readonly sd: readonly [dl: number, dc: number, dh: number];
  /** Pairs that stand behind it. */
  readonly pairs: number;
}

interface Expectation {
  readonly dl: number;
  readonly sdL: number;
}

/** By sheen (planning estimates): gloss paints usually dry darker, matt ones either way. */
const EXPECTED: Readonly<Record<'gloss' | 'satin' | 'matt', Expectation>> = {
  gloss: { dl: -2, sdL: 1.5 },
  satin: { dl: -1, sdL: 2 },
  matt: { dl: 0, sdL: 2.5 },
};
const SD_C = 1.5;
const SD_H = 2;
/** Spread of one logged pair about its line's own shift (planning estimate). */
const PAIR_SD = [0.8, 0.8, 1.5] as const;
/** Below this chroma a hue angle says nothing. */
const GREY_C = 4;

/**
 * The shift from wet to dry of one paint line, from its logged pairs, shrunk towards what its sheen leads one to expect: normal
 * prior and normal spread of a pair, each coordinate by itself.
 */
export function learnDryingShift(pairs: readonly WetDryPair[], finish: Finish): DryingShift {
  const { dl, sdL } = EXPECTED[finish === 'matt' || finish === 'satin' ? finish : 'gloss'];
  const priors = [
    { mean: dl, sd: sdL },
    { mean: 0, sd: SD_C },
    { mean: 0, sd: SD_H },
  ];
  const seen = pairs.map(measureShift);
  const learned = priors.map(({ mean, sd }, i) => {
    const own = seen.flatMap((one) => one[i] ?? []);
    const weight = 1 / sd ** 2 + own.length / PAIR_SD[i]! ** 2;
    const sum = mean / sd ** 2 + own.reduce((total, one) => total + one, 0) / PAIR_SD[i]! ** 2;
    return { mean: sum / weight, sd: Math.sqrt(1 / weight + PAIR_SD[i]! ** 2) };
  });
  const [l, c, h] = learned;
  return { shift: [l!.mean, c!.mean, h!.mean], sd: [l!.sd, c!.sd, h!.sd], pairs: pairs.length };
}

/** What a wet reading will look like dry, with one standard deviation of each coordinate. */
export function predictDry([l, a, b]: Lab, { shift, sd }: DryingShift): { readonly lab: Lab; readonly sd: Lab } {
  const c = Math.hypot(a, b);
  const h = Math.atan2(b, a) + (c < GREY_C ? 0 : (shift[2] * Math.PI) / 180);
  const dryC = Math.max(0, c + (c < GREY_C ? 0 : shift[1]));
  const across = (sd[2] * Math.PI * dryC) / 180;
  const [cos, sin] = [Math.cos(h), Math.sin(h)];
  return {
    lab: [Math.min(100, Math.max(0, l + shift[0])), dryC * cos, dryC * sin],
    sd: [sd[0], Math.hypot(sd[1] * cos, across * sin), Math.hypot(sd[1] * sin, across * cos)],
  };
}

function measureShift({ wet, dry }: WetDryPair): [number, number | null, number | null] {
  const [cw, cd] = [Math.hypot(wet[1], wet[2]), Math.hypot(dry[1], dry[2])];
  if (Math.min(cw, cd) < GREY_C) return [dry[0] - wet[0], null, null];
  const turn = ((Math.atan2(dry[2], dry[1]) - Math.atan2(wet[2], wet[1])) * 180) / Math.PI;
  return [dry[0] - wet[0], cd - cw, ((turn + 540) % 360) - 180];
}
