import { fuzzDemo } from '../../packages/server/test/support/fuzzDemo.ts';
import type { Topic } from '../figure.ts';

const REQUESTS = 24_000;

/** How the server takes what nobody should send it. */
export const trustFuzz: Topic = {
  names: ['trust.fuzz5xx', 'trust.fuzzSlowMs'],
  measure: async () => {
    const { faults, slowestHealthMs } = await fuzzDemo(24, REQUESTS);
    for (const { method, path, status, text } of faults.slice(0, 5))
      console.error(`${method} ${path}: ${status} ${text.slice(0, 80)}`);
    return [
      {
        ...{ name: 'trust.fuzz5xx', value: faults.length, unit: '', goal: { kind: 'at most', value: 0 } },
        yardstick: `of ${REQUESTS} seeded hostile requests to every route, answered as a fault of ours`,
      },
      {
        ...{ name: 'trust.fuzzSlowMs', value: slowestHealthMs, unit: 'ms', goal: { kind: 'at most', value: 500 } },
        yardstick: 'slowest answer to health while they ran',
      },
    ];
  },
};
