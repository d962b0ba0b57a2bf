import type { JobScope } from '@sardonyx/core';

/** How far a job goes. */
export const SCOPE_WORDS: Readonly<Record<JobScope, string>> = {
  full: 'Full: strip, mend and repaint',
  'repair only': 'Repairs and parts only: its paint stays',
  'clean only': 'Clean only: change nothing',
};
