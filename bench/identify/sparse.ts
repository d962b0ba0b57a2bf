import type { ListedShare } from '../../packages/core/src/model/catalogue.ts';
import { calibrateSparse, type SparsePlan } from '../../packages/core/test/support/calibrateSparse.ts';
import type { Topic } from '../figure.ts';

const SPECIMENS = 10_000;
/** Share of the issues that a list has which is said to have all, most or some of them. */
const LISTED: Readonly<Record<ListedShare, number>> = { all: 1, most: 0.8, some: 0.4 };
const SETTLED = 10;

/** Lists of a few issues, complete or not, and rightly said to be so or not. */
export const sparse: Topic = {
  names: [
    'identify.sparseEceAll',
    'identify.sparseEceMost',
    'identify.sparseEceSome',
    'identify.sparseMisstated',
    'identify.sparseCoverage90',
  ],
  measure: () => {
    const calibrate = (isTrue: ListedShare, plan: Pick<SparsePlan, 'said' | 'settled' | 'seed'>) =>
      calibrateSparse({ ...plan, listed: LISTED[isTrue], specimens: SPECIMENS });
    const right = (['all', 'most', 'some'] as const).map((said) => calibrate(said, { said, settled: 0, seed: 21 }));
    const steps = [
      ['all', 'most'],
      ['most', 'all'],
      ['most', 'some'],
      ['some', 'most'],
    ] as const;
    const misstated = steps.map(([isTrue, said]) => calibrate(isTrue, { said, settled: SETTLED, seed: 22 }));
    const how = `worse of leader and "none of those", over the sampling floor; castings of 2 to 10 issues in chains, ${SPECIMENS} specimens, 1 to 12 looks each`;
    const figure = (name: string, value: number, most: number, yardstick: string) => ({
      ...{ name, value, unit: '', yardstick },
      goal: { kind: 'at most', value: most } as const,
    });
    return Promise.resolve([
      figure('identify.sparseEceAll', right[0]!.ece, 0.006, `list complete; ${how}`),
      figure('identify.sparseEceMost', right[1]!.ece, 0.012, `0.8 of the issues listed, common ones first; ${how}`),
      figure('identify.sparseEceSome', right[2]!.ece, 0.03, `0.4 of the issues listed, common ones first; ${how}`),
      figure(
        'identify.sparseMisstated',
        Math.max(...misstated.map(({ ece }) => ece)),
        0.035,
        `the worst of four lists misstated by one step, after ${SETTLED} settled specimens; ${how}`,
      ),
      {
        name: 'identify.sparseCoverage90',
        value: right
          .map(({ coverage90 }) => coverage90)
          .reduce((a, b) => (Math.abs(b - 0.9) > Math.abs(a - 0.9) ? b : a)),
        unit: '',
        goal: { kind: 'within', least: 0.885, most: 0.915 },
        yardstick: 'true dates in the 90 % region, the farthest off of the three lists rightly stated',
      },
    ]);
  },
};
