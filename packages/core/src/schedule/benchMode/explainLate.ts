import type { Timer } from '../../model/work.ts';
import type { BathKind } from '../../model/workshop.ts';

/** What it means that nobody came when a clock rang. */
export const LATE_MEANINGS = [
  'caustic works on',
  'bath works on',
  'still hot',
  'softened',
  'window runs',
  'only harder',
  'aired',
] as const;
export type LateMeaning = (typeof LATE_MEANINGS)[number];

/** @param bath what the part of the clock lies in; null where it lies in none. */
export function explainLate({ kind }: Pick<Timer, 'kind'>, bath: BathKind | null): LateMeaning {
  if (bath === 'caustic') return 'caustic works on';
  if (bath !== null) return 'bath works on';
  switch (kind) {
    case 'bath':
      return 'bath works on';
    case 'heat':
      return 'still hot';
    case 'soak':
      return 'softened';
    case 'flash':
      return 'window runs';
    case 'cure':
      return 'only harder';
    case 'vapour':
    case 'airing':
      return 'aired';
  }
}
