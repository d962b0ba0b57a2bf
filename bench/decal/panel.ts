import { fitPanel, USUAL_PLACING } from '../../packages/core/src/decal/panel/fitPanel.ts';
import { createSeededRandom } from '../../packages/core/src/numeric/seededRandom.ts';
import { placeByHand } from '../../packages/core/test/support/placedByHand.ts';
import type { Topic } from '../figure.ts';

const ROUNDS = 40_000;

/** Decals as large as is called sure: how often all four margins hold. */
export const decalPanel: Topic = {
  names: ['decal.fitCoverage95'],
  measure: () => {
    const random = createSeededRandom(211);
    let held = 0;
    for (let i = 0; i < ROUNDS; i++) {
      const own = { widthMm: 4 + 60 * random(), heightMm: 3 + 12 * random() };
      const read = (mm: number) => ({ mm: mm * (0.9 + 0.2 * random()) + 1.5, sd: 0.05 + 0.35 * random() });
      const panel = { width: read(own.widthMm), height: read(own.heightMm) };
      const placing = { ...USUAL_PLACING, sd: 0.1 + 0.3 * random() };
      const scale = fitPanel(own, panel, placing).largestScale ?? 0;
      if (placeByHand({ widthMm: scale * own.widthMm, heightMm: scale * own.heightMm }, panel, placing, random)) held++;
    }
    return Promise.resolve([
      {
        ...{ name: 'decal.fitCoverage95', value: held / ROUNDS, unit: '' },
        goal: { kind: 'within', least: 0.94, most: 0.96 },
        yardstick: `${ROUNDS} decals of the largest size that is called sure, panels and hands drawn from their spreads`,
      },
    ]);
  },
};
