import { answerAt, computeMargins, computeSpans } from '../../packages/core/src/film/computeSpans.ts';
import { createDryingClock, type RoomReading } from '../../packages/core/src/film/dryingClock.ts';
import { completeSheet } from '../../packages/core/src/film/dryingSheet.ts';
import { learnDrying } from '../../packages/core/src/film/learnDrying.ts';
import { drawNormal } from '../../packages/core/src/numeric/drawNormal.ts';
import { createSeededRandom } from '../../packages/core/src/numeric/seededRandom.ts';
import { percentile, type Figure, type Topic } from '../figure.ts';
import { createRoom, DAY, LAW, readRoom, truthOf } from './simulatedRoom.ts';

/** When a coat is dry, and when another may go on, in rooms with their days. */
export const filmDrying: Topic = {
  names: ['film.clockP90', 'film.clockOneReadingP90', 'film.startsInGap'],
  measure: () => Promise.resolve([...measureClock(), measureGap()]),
};

function measureClock(): Figure[] {
  const random = createSeededRandom(19);
  const [hourly, once]: [number[], number[]] = [[], []];
  for (let coat = 0; coat < 1000; coat++) {
    const room = createRoom(random);
    const [applied, sheetMin] = [random() * DAY, 30 + 2850 * random()];
    const truth = truthOf(room, applied, sheetMin);
    const off = (readings: readonly RoomReading[]) =>
      Math.abs(createDryingClock(readings, LAW, 'least').until(applied, sheetMin)! - truth) / (truth - applied);
    hourly.push(off(readRoom(room, truth)));
    once.push(off([{ at: applied, tempC: room(applied), humidity: null }]));
  }
  return [
    {
      ...{ name: 'film.clockP90', value: percentile(hourly, 0.9), unit: '', goal: { kind: 'at most', value: 0.02 } },
      yardstick:
        '"dry at" off the integral in half minutes, share of the wait; 1,000 coats, 14 to 22 °C, read each hour',
    },
    {
      ...{ name: 'film.clockOneReadingP90', value: percentile(once, 0.9), unit: '', goal: null },
      yardstick: 'the same with the first reading only',
    },
  ];
}

/** Enamels whose true times are off their sheets: of the starts that are allowed, how many lie in the true gap? */
function measureGap(): Figure {
  const random = createSeededRandom(20);
  const margins = computeMargins(learnDrying(1, []));
  let [allowed, wrong] = [0, 0];
  for (let coat = 0; coat < 2000; coat++) {
    const room = createRoom(random);
    const recoatMin = 600 + 1200 * random();
    const sheet = completeSheet({ binder: 'enamel', flashMin: 10 + 15 * random(), recoatMin, cureMin: 10_000 });
    const scale = Math.exp(0.25 * drawNormal(random));
    const applied = random() * DAY;
    const readings = readRoom(room, 8 * DAY);
    const { recoat } = computeSpans({
      ...{ appliedAt: applied, filmShare: 1, sheet, margins },
      clocks: { least: createDryingClock(readings, LAW, 'least'), most: createDryingClock(readings, LAW, 'most') },
    });
    const [wet, dry] = sheet.spans.recoat;
    const [shuts, opens] = [truthOf(room, applied, scale * wet!.toMin!), truthOf(room, applied, scale * dry!.fromMin)];
    for (let start = 0; start < 400; start++) {
      const at = applied + random() * 4 * DAY;
      if (!answerAt(recoat, at).isAllowed) continue;
      allowed++;
      if (at > shuts && at < opens) wrong++;
    }
  }
  return {
    ...{ name: 'film.startsInGap', value: wrong / allowed, unit: '', goal: { kind: 'at most', value: 0.002 } },
    yardstick: `of ${allowed} allowed starts, 2,000 enamels whose times are off their sheets by 25 %`,
  };
}
