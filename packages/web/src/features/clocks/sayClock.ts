import type { Timer } from '@sardonyx/core';

/** What a clock is called. */
export const sayClock = ({ kind, label }: Pick<Timer, 'kind' | 'label'>): string =>
  kind === 'airing' ? 'Airing the room' : label;
