import { median, type Topic } from './figure.ts';

/** How quick this machine is just now: figures in milliseconds are read beside it. */
export const machineTopic: Topic = {
  names: ['machine.loopMs'],
  measure: () => {
    const times = Array.from({ length: 5 }, () => {
      const start = performance.now();
      let sum = 1;
      for (let i = 0; i < 1e8; i++) sum = (sum * 31 + i) | 0;
      return performance.now() - start + (sum === 0 ? 1e-9 : 0);
    });
    return Promise.resolve([
      {
        ...{ name: 'machine.loopMs', value: median(times), unit: 'ms', goal: null },
        yardstick:
          'a hundred million multiplications and additions, one after the other: what times below are read beside',
      },
    ]);
  },
};
