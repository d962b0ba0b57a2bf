import { answerArea } from '../../packages/core/src/film/answerArea.ts';
import { computeMargins, computeSpans } from '../../packages/core/src/film/computeSpans.ts';
import { createDryingClock } from '../../packages/core/src/film/dryingClock.ts';
import { completeSheet } from '../../packages/core/src/film/dryingSheet.ts';
import { learnDrying } from '../../packages/core/src/film/learnDrying.ts';
import { createSeededRandom } from '../../packages/core/src/numeric/seededRandom.ts';
import { median, type Figure, type Topic } from '../figure.ts';
import { createRoom, DAY, HOUR, readRoom } from './simulatedRoom.ts';

/** How quickly the Finish station is answered. */
export const filmSpeed: Topic = {
  names: ['film.finishAnswerMs'],
  measure: () => Promise.resolve([measureAnswers()]),
};

/** Everything that may be done with all areas of a job, worked out anew from the room's log of a month. */
function measureAnswers(): Figure {
  const random = createSeededRandom(24);
  const room = createRoom(random);
  const readings = readRoom(room, 30 * DAY);
  const now = 30 * DAY;
  const binders = ['enamel', 'acrylic', 'lacquer', 'ink'] as const;
  const coatsOf = () => Array.from({ length: 4 }, () => Math.floor(4 * random()));
  const areas = Array.from({ length: 14 * 3 }, coatsOf);
  const answerAll = () => {
    const products = binders.map((binder) => {
      const law = { refC: 20, minC: 10, isWaterBorne: binder === 'acrylic' };
      const clock = (side: 'least' | 'most') => createDryingClock(readings, law, side);
      return {
        sheet: completeSheet({ binder, flashMin: 10, recoatMin: 200, cureMin: 5000 }),
        margins: computeMargins(learnDrying(1, [{ notYetMin: 0.8, readyMin: 1.1 }])),
        clocks: { least: clock('least'), most: clock('most') },
      };
    });
    return areas.map((coats) =>
      answerArea(
        coats.map((product, i) => ({
          layerId: `${i}`,
          spans: computeSpans({ ...products[product]!, filmShare: 1, appliedAt: now - (4 - i) * 2 * HOUR }),
        })),
        now,
      ),
    );
  };
  for (let i = 0; i < 20; i++) answerAll();
  const times = Array.from({ length: 60 }, () => {
    const began = performance.now();
    answerAll();
    return performance.now() - began;
  });
  return {
    ...{ name: 'film.finishAnswerMs', value: median(times), unit: 'ms', goal: { kind: 'at most', value: 16 } },
    yardstick: '14 parts with 3 areas of 4 coats, 4 products, a room read each hour for 30 days; median of 60',
  };
}
