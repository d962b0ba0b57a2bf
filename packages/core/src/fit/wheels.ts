import { judgeGap, type Gap } from './tolerance.ts';
import type { Reading } from './reading.ts';

/** A tyre holds on its hub when it is stretched by so much, and tears beyond (planning estimates). */
const STRETCH = { least: 0.03, most: 0.1 } as const;

export interface Stretch {
  /** Of the tyre's bore, 0.05 is five hundredths. */
  readonly share: number;
  readonly verdict: 'good' | 'slips' | 'tears';
}

export function judgeStretch(hubDiameter: number, tyreBore: number): Stretch {
  const share = hubDiameter / tyreBore - 1;
  return { share, verdict: share < STRETCH.least ? 'slips' : share > STRETCH.most ? 'tears' : 'good' };
}

/** The wheels of one axle. */
export interface WheelPair {
  /** Over the tyre where there is one. */
  readonly left: Reading;
  readonly right: Reading;
  readonly width: Reading;
  readonly bore: Reading;
}

export interface Stance {
  /** From the ground to the middle of the axles, front and back, mm. */
  readonly front: number;
  readonly back: number;
  /** Nose up is more than nothing, degrees. */
  readonly tilt: number;
  /** Leaning to the left, degrees: of the axle that leans more. */
  readonly lean: number;
}

/** How a model stands on its wheels. */
export function computeStance(front: WheelPair, back: WheelPair, wheelbase: number, track: number): Stance {
  const height = ({ left, right }: WheelPair) => (left.mm + right.mm) / 4;
  const degrees = (rise: number, run: number) => (Math.atan2(rise, run) * 180) / Math.PI;
  const leans = [front, back].map(({ left, right }) => degrees((right.mm - left.mm) / 2, track));
  return {
    ...{ front: height(front), back: height(back) },
    tilt: degrees(height(front) - height(back), wheelbase),
    lean: Math.abs(leans[0]!) >= Math.abs(leans[1]!) ? leans[0]! : leans[1]!,
  };
}

/** Round about a wheel: in its arch, between body and axle end, and on its axle. */
export interface WheelRoom {
  /** From the middle of the axle to the edge of the arch. */
  readonly arch: Reading;
  /** From the body to where the axle end will sit. */
  readonly beside: Reading;
  readonly axle: Reading;
}

/** Play that is wanted, mm (planning estimates). */
export const PLAY = {
  arch: { least: 0.3, most: Infinity },
  beside: { least: 0.05, most: 0.6 },
  bore: { least: 0.03, most: 0.25 },
} as const;

export type WheelFits = Readonly<Record<keyof typeof PLAY, Gap>>;

/** Whether a pair turns where it goes: the larger wheel counts. */
export function judgeWheels({ left, right, width, bore }: WheelPair, room: WheelRoom): WheelFits {
  const larger = left.mm >= right.mm ? left : right;
  const radius = { mm: larger.mm / 2, sd: larger.sd / 2, sign: -1 as const };
  const link = (reading: Reading, sign: 1 | -1) => ({ ...reading, sign });
  return {
    arch: judgeGap([link(room.arch, 1), radius], PLAY.arch),
    beside: judgeGap([link(room.beside, 1), link(width, -1)], PLAY.beside),
    bore: judgeGap([link(bore, 1), link(room.axle, -1)], PLAY.bore),
  };
}
