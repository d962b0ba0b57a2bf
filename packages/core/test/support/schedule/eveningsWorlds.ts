import type { RandomSource } from '../../../src/numeric/seededRandom.ts';
import type { EveningsInput, EveningTask } from '../../../src/schedule/evenings/eveningsInput.ts';

/** Wednesday, 25 November 2026, half past six in the evening. */
export const EVENING_NOW = Date.parse('2026-11-25T18:30:00Z');

export const EVENING_TASK: EveningTask = {
  ...{ id: 't', jobId: 'a', title: 'Task', station: 'strip', act: 'mend' },
  ...{ handsOnMin: 10, watchedMin: 0, passiveMin: 0, isUnderWay: false, kind: null, air: null, isDry: false },
  ...{ bath: null, inOven: false, inBooth: false, gun: null, isGunCare: false, after: [], isPastWindow: false },
  ...{ windows: [{ from: null, to: null }], arrivesAt: null, isArrivalGuess: false },
};

/** Somebody on Monday and Wednesday evenings, somebody else on Tuesdays and Saturday mornings, who alone sprays. */
export const EVENINGS: EveningsInput = {
  now: EVENING_NOW,
  zone: 'Europe/London',
  restorers: [
    {
      ...{ id: 'one', name: 'One', exceptions: [], leaves: ['spraying'] },
      sessions: [
        { weekday: 1, startHour: 18, minutes: 120 },
        { weekday: 3, startHour: 18.5, minutes: 120 },
      ],
    },
    {
      ...{ id: 'two', name: 'Two', exceptions: [], leaves: [] },
      sessions: [
        { weekday: 2, startHour: 19, minutes: 150 },
        { weekday: 6, startHour: 9, minutes: 180 },
      ],
    },
  ],
  jobs: [{ id: 'a', number: 'A-1', dueOn: '2027-01-13' }],
  ...{ tasks: [], weather: [], ovenRoom: 2, bathRoom: 1, inRoom: [], pins: [] },
};

/** Jobs of the strangest tasks that can still be planned: windows that shut today, tasks longer than a session, post, loops of nothing. */
export function createEvenings(random: RandomSource): EveningsInput {
  const between = (least: number, most: number) => least + Math.floor((most - least + 1) * random());
  const maybe = <T>(chance: number, some: T, none: T): T => (random() < chance ? some : none);
  const HOUR = 3_600_000;
  const tasks: EveningTask[] = [];
  const jobs = Array.from({ length: between(1, 5) }, (_, j) => ({
    ...{ id: `j${j}`, number: `J-${j}` },
    dueOn: maybe(0.7, `2027-0${between(1, 3)}-1${between(0, 9)}`, null),
  }));
  for (const job of jobs)
    for (let i = 0; i < between(0, 12); i++) {
      const own = tasks.filter(({ jobId }) => jobId === job.id);
      const isSpray = random() < 0.4;
      tasks.push({
        ...EVENING_TASK,
        ...{ id: `${job.id}.${i}`, jobId: job.id, title: `${job.id} ${i}` },
        handsOnMin: between(0, 30),
        watchedMin: maybe(0.2, between(10, 90), 0),
        passiveMin: maybe(0.2, between(20, 1500), 0),
        gun: isSpray ? `colour ${between(0, 2)}` : null,
        kind: isSpray ? 'spraying' : null,
        inBooth: isSpray,
        air: isSpray ? 'vapour' : maybe(0.15, 'spark' as const, null),
        isDry: random() < 0.1,
        bath: maybe(0.1, 'caustic', null),
        inOven: random() < 0.1,
        after: own
          .filter(() => random() < 1.5 / (own.length + 1))
          .map(({ id }) => ({
            ...{ taskId: id, waitMin: maybe(0.3, between(0, 2000), 0) },
            latestMin: maybe(0.15, between(10, 9000), null),
          })),
        windows: maybe(
          0.15,
          [
            { from: EVENING_NOW - HOUR, to: EVENING_NOW + between(1, 60) * HOUR + 12_345 },
            { from: EVENING_NOW + 80 * HOUR + 1234, to: maybe(0.5, EVENING_NOW + 200 * HOUR, null) },
          ],
          EVENING_TASK.windows,
        ),
        arrivesAt: maybe(0.1, EVENING_NOW + between(1, 20) * 24 * HOUR, null),
      });
    }
  return {
    ...EVENINGS,
    ...{ jobs, tasks, ovenRoom: between(0, 2), bathRoom: between(1, 2) },
    weather: ['2026-11-25', '2026-11-26', '2026-11-30', '2026-12-02'].map((on) => ({ on, isDry: random() < 0.3 })),
    inRoom: maybe(0.4, [{ air: maybe(0.5, 'spark' as const, 'vapour' as const), until: EVENING_NOW + HOUR }], []),
    restorers: EVENINGS.restorers.map((one) => ({
      ...one,
      exceptions: maybe(
        0.5,
        [{ on: `2026-12-0${between(1, 9)}`, startHour: 19, minutes: maybe(0.5, 0, 240), note: '' }],
        [],
      ),
    })),
  };
}
