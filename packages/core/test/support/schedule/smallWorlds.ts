import { pickOne, type RandomSource } from '../../../src/numeric/seededRandom.ts';
import {
  ALWAYS,
  type Span,
  type Workshop,
  type WorkLink,
  type WorkTask,
} from '../../../src/schedule/solve/workshop.ts';

/** All minutes are whole numbers of these, so that a plan on the grid is as good as any. */
export const GRID_MIN = 30;
const DAY = 1440;

/** Three jobs of six tasks each: small enough for a proven best plan, with a bit of everything that a workshop has. */
export function createSmallWorld(random: RandomSource): Workshop {
  const between = (least: number, most: number) => least + Math.floor((most - least + 1) * random());
  const tasks = [0, 1, 2].flatMap((job) => createSmallJob(job, 6 * job, random));
  const sessionsOf = (...evenings: readonly (readonly [day: number, hour: number, minutes: number])[]): Span[] =>
    [0, 1].flatMap((week) =>
      evenings.map(([day, hour, minutes]) => {
        const from = (7 * week + day) * DAY + hour * 60;
        return { from, to: from + minutes };
      }),
    );
  const wet = between(0, 6);
  return {
    tasks,
    jobs: [0, 1, 2].map((job) => ({
      ...{ id: `job ${job}`, dueMin: between(1, 8) * DAY, weight: between(1, 3) },
    })),
    restorers: [
      { name: 'one', sessions: sessionsOf([1, 19, 150], [3, 19, 150], [5, 9, 240]) },
      { name: 'two', sessions: sessionsOf([0, 18, 180], [2, 18, 180], [3, 19, 120]) },
    ],
    places: { booth: 1, oven: 2, caustic: 1 },
    dry: [
      { from: 0, to: wet * DAY },
      { from: (wet + 2) * DAY, to: 40 * DAY },
    ],
    gun: { cleaningMin: GRID_MIN, keepsMin: 2 * GRID_MIN },
    airingMin: GRID_MIN,
    inRoom: [],
  };
}

function createSmallJob(job: number, first: number, random: RandomSource): WorkTask[] {
  const between = (least: number, most: number) => least + Math.floor((most - least + 1) * random());
  const minutes = (least: number, most: number) => GRID_MIN * between(least, most);
  const tasks: WorkTask[] = [];
  const add = (some: Partial<WorkTask>, ...after: readonly WorkLink[]): WorkLink => {
    tasks.push({
      ...{ id: `${job}.${tasks.length}`, job, handsMin: GRID_MIN, watchedMin: 0, passiveMin: 0, after },
      ...{ notBefore: 0, within: ALWAYS, who: [0, 1], holds: [], gun: null, isDry: false, air: null, ...some },
    });
    return { task: first + tasks.length - 1, spans: [{ from: 0, to: Infinity }] };
  };
  const later = ({ task }: WorkLink, ...spans: readonly Span[]): WorkLink => ({ task, spans });
  const opened = add({});
  const caustic = {
    watchedMin: minutes(1, 2),
    holds: [{ place: 'caustic', until: 'watched' as const, setting: null }],
  };
  const bare = random() < 0.5 ? add(caustic, opened) : add({ isDry: true, air: 'spark' }, opened);
  const spray = (gun: string, after: WorkLink) =>
    add(
      {
        ...{ handsMin: GRID_MIN, passiveMin: GRID_MIN, holds: [{ place: 'booth', until: 'hands', setting: null }] },
        ...{ gun, air: 'vapour', who: random() < 0.6 ? [0] : [0, 1] },
      },
      after,
    );
  const primed = spray('grey', later(bare, { from: 60, to: 5 * DAY }));
  const windows = [
    [
      { from: GRID_MIN, to: 180 },
      { from: DAY, to: Infinity },
    ],
    [{ from: 8 * 60, to: 9 * DAY }],
  ];
  const painted = spray(pickOne(['cream', 'slate'], random), later(primed, ...pickOne(windows, random)));
  const other = pickOne(
    [
      { watchedMin: minutes(1, 2), holds: [{ place: 'oven', until: 'watched' as const, setting: between(6, 7) * 10 }] },
      { notBefore: between(1, 5) * DAY },
      { air: 'spark' as const, who: [1] },
    ],
    random,
  );
  const side = add(other, opened);
  add({}, later(painted, { from: between(0, 2) * 12 * 60, to: Infinity }), side);
  return tasks;
}
