import type { Move } from '@sardonyx/core';

/** What happens to a thing or a pot, in words. */
export const MOVE_WORDS: Readonly<Record<Move, string>> = {
  bought: 'bought',
  made: 'made here',
  'from a donor': 'out of a donor',
  counted: 'counted: so much is there',
  reserved: 'put by for a job',
  released: 'no longer put by',
  taken: 'taken',
  'put back': 'put back',
  wasted: 'wasted',
};
