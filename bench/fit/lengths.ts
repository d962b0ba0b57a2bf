import { countDecided, coverLengths, NEAR_LIMIT } from '../../packages/core/test/support/formedAxles.ts';
import type { Figure, Topic } from '../figure.ts';

/** Lengths of axles against ends that are formed one by one, as a punch and pliers leave them. */
export const fitLengths: Topic = {
  names: ['fit.lengthCoverage90', 'fit.wrongDecided', 'fit.measureAgain'],
  measure: () => Promise.resolve([measureCoverage(), ...measureDecided()]),
};

const EACH = 20_000;

function measureCoverage(): Figure {
  const shares = coverLengths(EACH, 191);
  const worst = shares.reduce((a, b) => (Math.abs(b - 0.9) > Math.abs(a - 0.9) ? b : a));
  return {
    ...{ name: 'fit.lengthCoverage90', value: worst, unit: '' },
    goal: { kind: 'within', least: 0.885, most: 0.915 },
    yardstick: `true length in the 90 % interval, the farthest off of domed, crimped and pressed (${shares.map((share) => share.toFixed(3)).join(', ')}), ${EACH} each; ends made one by one, caps by slices`,
  };
}

function measureDecided(): Figure[] {
  const { wrong, decided, all } = countDecided(EACH, 192);
  return [
    {
      ...{ name: 'fit.wrongDecided', value: wrong / decided, unit: '', goal: { kind: 'at most', value: 0.01 } },
      yardstick: `"long enough" or "too short" wrong, of those decided; within ${NEAR_LIMIT} mm of the limit, ${all} axles, domed, crimped and pressed alike`,
    },
    {
      ...{ name: 'fit.measureAgain', value: 1 - decided / all, unit: '', goal: null },
      yardstick: 'share of the same that is told to measure again',
    },
  ];
}
