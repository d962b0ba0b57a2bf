import type { Refusal } from '../model/refusal.ts';
import type { MeasuredOf, TaskMeasure } from '../model/task.ts';
import { readMeasure } from './drawerThing.ts';
import type { Reading } from './reading.ts';
import { computeStance, judgeStretch, judgeWheels, type Stance, type Stretch, type WheelFits } from './wheels.ts';

/** What the measures of a wheel check say: each answer as soon as its own measures are there. */
export interface WheelCheck {
  /** How the model stands: four wheels, and how far they are apart. */
  readonly stance: Stance | null;
  /** Whether the wheels turn: in their arches, beside the body, on their axle. */
  readonly fits: Partial<WheelFits>;
  /** Whether the tyres hold on their hubs. */
  readonly stretch: Stretch | null;
  /** A pair whose wheels differ by more than this in height, mm. */
  readonly unlike: readonly ('front' | 'back')[];
}

/** Calipers in a hand, mm. */
const CALIPER_SD = 0.03;
/** Rubber gives under the jaws, mm (planning estimate). */
const TYRE_SD = 0.05;
/** Wheels of one axle that differ by more are not a pair (planning estimate). */
const PAIR_MM = 0.2;

/** @param wheelbaseMm of the casting, where nobody measured it; null where that says nothing either */
export function checkWheels(measures: readonly TaskMeasure[], wheelbaseMm: number | null): WheelCheck {
  const read = (what: MeasuredOf, sd = CALIPER_SD): Reading | undefined => {
    const mm = readMeasure(measures, what);
    return mm === undefined ? undefined : { mm, sd };
  };
  const pair = (side: 'front' | 'back') => {
    const [left, right] = [read(`${side} left`, TYRE_SD), read(`${side} right`, TYRE_SD)];
    return left && right ? { left, right } : null;
  };
  const [front, back] = [pair('front'), pair('back')];
  const wheelbase = read('wheelbase')?.mm ?? wheelbaseMm;
  const track = read('track')?.mm;
  const none: Reading = { mm: 0, sd: 0 };
  const whole = (of: { left: Reading; right: Reading }) => ({ ...of, width: none, bore: none });
  const known = [front, back].filter((one) => one !== null);
  const largest = known.flatMap(({ left, right }) => [left, right]).sort((a, b) => b.mm - a.mm)[0];
  const [width, bore, axle] = [read('wheel width'), read('wheel bore'), read('axle')];
  const [arch, beside] = [read('arch'), read('beside')];
  const fits = judgeWheels(
    { left: largest ?? none, right: largest ?? none, width: width ?? none, bore: bore ?? none },
    { arch: arch ?? none, beside: beside ?? none, axle: axle ?? none },
  );
  const [hub, tyreBore] = [read('hub')?.mm, read('tyre bore')?.mm];
  return {
    stance:
      front && back && wheelbase !== null && track !== undefined
        ? computeStance(whole(front), whole(back), wheelbase, track)
        : null,
    fits: {
      ...(arch && largest ? { arch: fits.arch } : {}),
      ...(beside && width ? { beside: fits.beside } : {}),
      ...(bore && axle ? { bore: fits.bore } : {}),
    },
    stretch: hub !== undefined && tyreBore !== undefined ? judgeStretch(hub, tyreBore) : null,
    unlike: (['front', 'back'] as const).filter((side) => {
      const own = side === 'front' ? front : back;
      return own !== null && Math.abs(own.left.mm - own.right.mm) > PAIR_MM;
    }),
  };
}

const PLACE_WORDS = {
  arch: 'the wheel does not turn in its arch',
  beside: 'the wheel does not go between the body and the axle end',
  bore: 'the wheel does not go over its axle',
} as const;

/** An axle end cannot be formed twice: what does not turn, or whose tyre tears, is put right first. */
export function refuseWheels({ fits, stretch }: WheelCheck): Refusal[] {
  const wrong = (Object.keys(PLACE_WORDS) as (keyof typeof PLACE_WORDS)[]).filter((place) => fits[place]?.fit === 'no');
  const told = [
    ...wrong.map((place) => PLACE_WORDS[place]),
    ...(stretch?.verdict === 'tears' ? [`the tyre would be stretched by ${(100 * stretch.share).toFixed(0)} %`] : []),
  ];
  return told.length
    ? [
        {
          code: 'wheel-stuck',
          message: `By what was measured, ${told.join('; ')}. Put it right before the end is formed.`,
        },
      ]
    : [];
}
