import type { RandomSource } from '../../../src/numeric/seededRandom.ts';
import { boundFinish } from '../../../src/schedule/solve/boundFinish.ts';
import {
  ALWAYS,
  type Hold,
  type Span,
  type WorkLink,
  type Workshop,
  type WorkTask,
} from '../../../src/schedule/solve/workshop.ts';

const DAY = 1440;
const HOUR = 60;
const LATER: readonly Span[] = [{ from: 0, to: Infinity }];
const COLOURS = ['primer grey', 'cream', 'slate', 'maroon', 'ochre', 'signal red', 'leaf', 'clear'];

interface WorldSize {
  readonly jobs: number;
  readonly tasksOfJob: number;
  /** How tight the promised days are: 1 leaves each job 25 days, and all of them the bound of the finish on top. */
  readonly slack: number;
}

/**
 * A workshop made by chance: jobs from strip to close, two restorers with different evenings (17 hours a week), one booth, gun and
 * oven, baths, dry days for blasting, post, coats with one window or two, one room for vapour and spark. docs/decisions/025.
 */
export function createWorld({ jobs, tasksOfJob, slack }: WorldSize, random: RandomSource): Workshop {
  const between = (least: number, most: number) => least + Math.floor((most - least + 1) * random());
  const tasks: WorkTask[] = [];
  for (let job = 0; job < jobs; job++) tasks.push(...createJob(job, tasks.length, tasksOfJob, random));
  const weeks = 40 + Math.ceil(jobs / 2);
  const world: Workshop = {
    tasks,
    jobs: Array.from({ length: jobs }, (_, i) => ({ id: `job ${i}`, dueMin: null, weight: between(1, 3) })),
    restorers: [
      {
        name: 'one',
        sessions: listWeekly(
          weeks,
          [
            [1, 19, 150],
            [3, 19, 150],
            [5, 9, 240],
          ],
          random,
        ),
      },
      {
        name: 'two',
        sessions: listWeekly(
          weeks,
          [
            [0, 18, 180],
            [2, 18, 180],
            [3, 19, 120],
          ],
          random,
        ),
      },
    ],
    places: { booth: 1, oven: 3, caustic: 2, fluid: 3, ultrasonic: 1 },
    dry: listDry(weeks, random),
    gun: { cleaningMin: 12, keepsMin: 45 },
    airingMin: 30,
    inRoom: [],
  };
  // A job takes its weeks even alone.
  const whole = boundFinish(world);
  const promise = () => Math.round(slack * (25 * DAY + random() * whole));
  return { ...world, jobs: world.jobs.map((job) => ({ ...job, dueMin: promise() })) };
}

/** Weekday, hour and minutes of each; one in fifteen falls out. */
function listWeekly(
  weeks: number,
  evenings: readonly (readonly [number, number, number])[],
  random: RandomSource,
): Span[] {
  return Array.from({ length: weeks }, (_, week) => week).flatMap((week) =>
    evenings.flatMap(([day, hour, minutes]): Span[] => {
      const from = (7 * week + day) * DAY + hour * HOUR;
      return random() < 1 / 15 ? [] : [{ from, to: from + minutes }];
    }),
  );
}

/** Two days in three are dry. */
function listDry(weeks: number, random: RandomSource): Span[] {
  const dry: Span[] = [];
  for (let day = 0; day < 7 * weeks; day++) {
    if (random() > 2 / 3) continue;
    const last = dry.at(-1);
    if (last?.to === day * DAY) dry[dry.length - 1] = { from: last.from, to: (day + 1) * DAY };
    else dry.push({ from: day * DAY, to: (day + 1) * DAY });
  }
  return dry;
}

/** Parts are stripped and mended side by side, sprayed coat by coat, and put together at the end. */
function createJob(job: number, first: number, count: number, random: RandomSource): WorkTask[] {
  const between = (least: number, most: number) => least + Math.floor((most - least + 1) * random());
  const tasks: WorkTask[] = [];
  const add = (some: Partial<WorkTask>, after: readonly WorkLink[]): WorkLink => {
    const index = first + tasks.length;
    tasks.push({ ...PLAIN, id: `${job}.${tasks.length}`, job, handsMin: between(6, 35), after, ...some });
    return { task: index, spans: LATER };
  };
  const hold = (place: string, until: Hold['until'], setting: number | null = null): Hold => ({
    place,
    until,
    setting,
  });
  const later = ({ task }: WorkLink, ...spans: readonly Span[]): WorkLink => ({ task, spans });
  const opened = add({ who: [0, 1] }, [add({ handsMin: between(5, 15) }, [])]);
  const ends: WorkLink[] = [];
  while (tasks.length < count - 2) {
    const left = count - 2 - tasks.length;
    const kind = random();
    if (kind < 0.45 && left >= 6) ends.push(addPainted(opened, left));
    else if (kind < 0.6 && left >= 2) {
      // Baked at one temperature, by somebody who stays.
      const setting = between(0, 2) === 0 ? 60 : 80;
      ends.push(
        add({ handsMin: between(5, 10), watchedMin: between(30, 60), holds: [hold('oven', 'watched', setting)] }, [
          opened,
        ]),
      );
    } else if (kind < 0.75) ends.push(add({ handsMin: between(10, 30), notBefore: between(2, 30) * DAY }, [opened]));
    else if (kind < 0.9) ends.push(add({ air: 'spark', who: random() < 0.5 ? [1] : [0, 1] }, [opened]));
    else ends.push(add({ passiveMin: between(6, 24) * HOUR }, [opened]));
  }
  const together = add({ handsMin: between(15, 40) }, ends.length ? ends : [opened]);
  add({ handsMin: between(5, 15) }, [later(together, { from: between(1, 12) * HOUR, to: Infinity })]);
  return tasks;

  function addPainted(from: WorkLink, left: number): WorkLink {
    const kind = random();
    const stripped =
      kind < 0.4
        ? add({ handsMin: between(6, 12), watchedMin: between(20, 60), holds: [hold('caustic', 'watched')] }, [from])
        : kind < 0.7
          ? add(
              {
                handsMin: between(6, 12),
                passiveMin: between(8, 24) * HOUR,
                holds: [hold('fluid', 'passive')],
              },
              [from],
            )
          : add({ isDry: true, handsMin: between(15, 35), air: 'spark' }, [from]);
    const washed = add({ handsMin: between(6, 12), watchedMin: 10, holds: [hold('ultrasonic', 'watched')] }, [
      later(stripped, { from: kind < 0.4 ? 0 : kind < 0.7 ? 8 * HOUR : 0, to: kind < 0.7 ? 96 * HOUR : Infinity }),
    ]);
    const spray = (colour: string, after: WorkLink) =>
      add(
        {
          ...{ handsMin: between(6, 15), passiveMin: between(20, 45), holds: [hold('booth', 'hands')], gun: colour },
          air: 'vapour',
          who: random() < 0.7 ? [0] : [0, 1],
        },
        [after],
      );
    // Bare metal is not left bare for long.
    let coat = spray('primer grey', later(washed, { from: 60, to: 7 * DAY }));
    const colour = COLOURS[between(1, COLOURS.length - 2)]!;
    const coats = Math.min(left - 3, between(2, 3));
    for (let i = 0; i < coats; i++) {
      const two = [
        { from: 20, to: 3 * HOUR },
        { from: between(24, 48) * HOUR, to: Infinity },
      ];
      const one = [{ from: between(8, 16) * HOUR, to: 21 * DAY }];
      coat = spray(colour, later(coat, ...(random() < 0.5 ? two : one)));
    }
    return later(coat, { from: between(24, 72) * HOUR, to: Infinity });
  }
}

const PLAIN: Omit<WorkTask, 'id' | 'job' | 'handsMin' | 'after'> = {
  ...{
    watchedMin: 0,
    passiveMin: 0,
    notBefore: 0,
    within: ALWAYS,
    who: [0, 1],
    holds: [],
    gun: null,
    isDry: false,
    air: null,
  },
};
