import { countBrokenLedgers } from '../../packages/core/test/support/windowedLedgers.ts';
import type { Figure, Topic } from '../figure.ts';

/** Movement logs written by two windows at once, counted over by hand. */
export const stockLedgers: Topic = {
  names: ['stock.brokenLedgers'],
  measure: () => Promise.resolve([measureLedgers()]),
};

const LOGS = 10_000;

function measureLedgers(): Figure {
  const { broken, lines, refused } = countBrokenLedgers(LOGS, 197);
  return {
    ...{ name: 'stock.brokenLedgers', value: broken, unit: '', goal: { kind: 'at most', value: 0 } },
    yardstick: `of ${LOGS} random logs that two windows write at once, each by what it last saw: ${lines} lines written, ${refused} turned down; nothing negative, nothing promised twice, sums as counted by hand`,
  };
}
