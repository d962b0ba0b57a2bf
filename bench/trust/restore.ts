import { restoreDamaged } from '../../packages/server/test/support/restoreDamaged.ts';
import type { Topic } from '../figure.ts';

/** Whether a save that was not made by "Save everything" is put in place of what is there. */
export const trustRestore: Topic = {
  names: ['trust.restoreAccepted'],
  measure: async () => {
    const { tried, isWholeTaken } = await restoreDamaged();
    if (!isWholeTaken) throw new Error('The whole one was not taken.');
    const accepted = tried.filter(({ status }) => status !== 400);
    return [
      {
        ...{ name: 'trust.restoreAccepted', value: accepted.length, unit: '', goal: { kind: 'at most', value: 0 } },
        yardstick: `of ${tried.length} kinds of damaged saves`,
      },
    ];
  },
};
