import { fillAndFree } from '../../packages/server/test/support/fillAndFree.ts';
import { fillSmallDisk } from '../../packages/server/test/support/fillSmallDisk.ts';
import type { Topic } from '../figure.ts';

const ROUNDS = 200;
/** Of them on a file system of its own, where this machine lets us make one. */
const REAL_ROUNDS = 40;

/** What was acknowledged while a disk filled up, and is not there. */
export const trustFullDisk: Topic = {
  names: ['trust.fullDiskLost'],
  measure: async () => {
    const real = await fillSmallDisk(3, REAL_ROUNDS);
    const faults = await fillAndFree(17, real ? ROUNDS - REAL_ROUNDS : ROUNDS);
    const all = real ? [real, faults] : [faults];
    const strange = all.flatMap((one) => one.strange);
    if (strange.length) throw new Error(`Answered ${[...new Set(strange)].join(', ')} instead of 2xx or 507.`);
    const sum = (read: (one: typeof faults) => number) => all.reduce((total, one) => total + read(one), 0);
    const where = real ? `${REAL_ROUNDS} on a small file system, the others by` : 'by';
    return [
      {
        ...{ name: 'trust.fullDiskLost', value: sum(({ lost }) => lost.length), unit: '' },
        goal: { kind: 'at most', value: 0 },
        yardstick: `${sum((one) => one.acknowledged)} acknowledged and ${sum((one) => one.refused)} refused writes over ${ROUNDS} rounds of filling and freeing, ${where} faults of the driver`,
      },
    ];
  },
};
