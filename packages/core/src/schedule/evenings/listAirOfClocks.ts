import { AIRING_MIN } from '../../gates/checkStart.ts';
import type { Timer, TimerKind } from '../../model/work.ts';
import type { EveningsInput } from './eveningsInput.ts';

const IN_AIR: Readonly<Record<TimerKind, 'vapour' | 'spark' | null>> = {
  ...{ bath: 'vapour', vapour: 'vapour', flash: 'vapour', soak: 'vapour', airing: 'vapour' },
  ...{ heat: 'spark', cure: null },
};

/** What clocks that run keep in the room, and until when (checkRoom). Airing is the last half hour of vapour that is gone. */
export function listAirOfClocks(
  timers: readonly Pick<Timer, 'kind' | 'endsAt' | 'acknowledgedAt'>[],
  now: number,
): EveningsInput['inRoom'] {
  return timers.flatMap(({ kind, endsAt, acknowledgedAt }) => {
    const air = IN_AIR[kind];
    const ends = Date.parse(endsAt);
    // A bath stands, and a soak goes on, until somebody has looked.
    const isStill = kind === 'bath' || kind === 'soak';
    if (air === null || acknowledgedAt !== null || (ends <= now && !isStill)) return [];
    return [{ air, until: Math.max(ends, isStill ? now : ends) - (kind === 'airing' ? AIRING_MIN * 60_000 : 0) }];
  });
}
