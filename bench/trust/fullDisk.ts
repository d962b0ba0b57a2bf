import { fillAndFree } from '../../packages/server/test/support/fillAndFree.ts';
import type { Topic } from '../figure.ts';

const ROUNDS = 200;

/** What was acknowledged while a disk filled up, and is not there. */
export const trustFullDisk: Topic = {
  names: ['trust.fullDiskLost'],
  measure: async () => {
    const { acknowledged, refused, lost, strange } = await fillAndFree(17, ROUNDS);
    if (strange.length) throw new Error(`Answered ${[...new Set(strange)].join(', ')} instead of 201 or 507.`);
    return [
      {
        ...{ name: 'trust.fullDiskLost', value: lost.length, unit: '', goal: { kind: 'at most', value: 0 } },
        yardstick: `${acknowledged} acknowledged and ${refused} refused writes over ${ROUNDS} rounds of filling and freeing (faults of the driver)`,
      },
    ];
  },
};
