import { expect } from 'chai';
import { createEvenings, EVENING_NOW, EVENING_TASK, EVENINGS } from '../../../test/support/schedule/eveningsWorlds.ts';
import { runToEnd } from '../../numeric/runToEnd.ts';
import { createSeededRandom } from '../../numeric/seededRandom.ts';
import { compareEvenings } from './compareEvenings.ts';
import type { EveningsInput } from './eveningsInput.ts';
import { findPlannable, planEvenings } from './planEvenings.ts';
import { reportEvenings, type EveningsReport } from './reportEvenings.ts';
import { planSupposed } from './planSupposed.ts';
import { listSupposed, supposeEvenings, type Supposition } from './suppose.ts';

function report(input: EveningsInput, rounds = 10): EveningsReport {
  const made = findPlannable(input);
  return reportEvenings(input, made, runToEnd(planEvenings(input, made, createSeededRandom(3), rounds)));
}
const minutesOf = (made: EveningsReport, restorerId: string) =>
  made.runs.flatMap(({ sessions }) => sessions).filter((one) => one.restorerId === restorerId);

describe('suppose', () => {
  const more = { kind: 'more evenings', restorerId: 'one', count: 2 } as const;

  it('gives evenings on the next days that have none, at the usual hours', () => {
    // Wednesday is today; Monday is theirs already.
    expect(listSupposed(EVENINGS, more)).deep.equal([
      { on: '2026-11-26', startHour: 18, minutes: 120, note: '' },
      { on: '2026-11-27', startHour: 18, minutes: 120, note: '' },
    ]);
    const restorers = EVENINGS.restorers.map((one) => ({
      ...one,
      exceptions: [{ on: '2026-11-26', startHour: 9, minutes: 0, note: 'away' }],
    }));
    const days = listSupposed({ ...EVENINGS, restorers }, { ...more, count: 4 }).map(({ on }) => on);
    expect(days, 'what somebody said of a day stands').deep.equal([
      '2026-11-27',
      '2026-11-28',
      '2026-11-29',
      '2026-12-01',
    ]);
  });

  it('gives none to somebody who has no hours, or is gone', () => {
    const restorers = EVENINGS.restorers.map((one) => ({ ...one, sessions: [] }));
    expect(listSupposed({ ...EVENINGS, restorers }, more)).deep.equal([]);
    expect(listSupposed(EVENINGS, { ...more, restorerId: 'gone' })).deep.equal([]);
    expect(supposeEvenings(EVENINGS, { ...more, restorerId: 'gone' })).deep.equal(EVENINGS);
  });

  it('takes away the days of somebody who is away, today as well, and no others', () => {
    const away = { kind: 'away', restorerId: 'two', days: 7 } as const;
    expect(listSupposed(EVENINGS, away).map(({ on }) => on)).deep.equal(['2026-11-28', '2026-12-01']);
    const input = { ...EVENINGS, tasks: [EVENING_TASK] };
    const firstOf = (of: EveningsInput) => Math.min(...minutesOf(report(of), 'two').map(({ from }) => from));
    expect(new Date(firstOf({ ...supposeEvenings(input, away), tasks: manyTasks() })).toISOString()).equal(
      '2026-12-05T09:00:00.000Z',
    );
  });

  it('makes days wet that were said to be dry, and leaves the others', () => {
    const weather = [
      { on: '2026-11-26', isDry: true },
      { on: '2026-12-24', isDry: true },
    ];
    const then = supposeEvenings({ ...EVENINGS, weather }, { kind: 'rain', days: 3 });
    expect(then.weather.filter(({ isDry }) => !isDry).map(({ on }) => on)).deep.equal([
      '2026-11-25',
      '2026-11-26',
      '2026-11-27',
    ]);
    expect(then.weather).lengthOf(4);
  });

  it('leaves out what needs the oven, and all that comes after it', () => {
    const tasks = [
      { ...EVENING_TASK, id: 'bake', inOven: true },
      { ...EVENING_TASK, id: 'after', after: [{ taskId: 'bake', waitMin: 0, latestMin: null }] },
      { ...EVENING_TASK, id: 'other' },
    ];
    const then = report(supposeEvenings({ ...EVENINGS, tasks }, { kind: 'no oven' }));
    expect(then.leftOut.map(({ task, because }) => `${task.id}: ${because}`)).deep.equal([
      'bake: no oven',
      'after: what goes before',
    ]);
  });

  it('makes nothing worse by more evenings, and finds the same where nothing is supposed: by a look at many worlds', () => {
    let better = 0;
    for (let seed = 1; seed <= 12; seed++) {
      const input = createEvenings(createSeededRandom(seed));
      const suppose = (supposed: Supposition) =>
        runToEnd(planSupposed(input, supposed, null, { createRandom: () => createSeededRandom(3), rounds: 25 }));
      const { is, would } = suppose({ ...more, count: 3 });
      expect(would.cost, `world ${seed}`).most(is.cost);
      if (would.cost < is.cost) better++;
      expect(suppose({ kind: 'rain', days: 0 }).would.plan).deep.equal(is.plan);
    }
    expect(better).greaterThan(0);
  });

  it('says how much of it is done', () => {
    const shares = [
      ...planSupposed(EVENINGS_OF_ONE, { kind: 'no oven' }, null, {
        createRandom: () => createSeededRandom(1),
        rounds: 2,
      }),
    ];
    expect(shares).deep.equal([0.25, 0.5, 0.75, 1]);
  });
});

const EVENINGS_OF_ONE = { ...EVENINGS, tasks: [EVENING_TASK] };

const manyTasks = () =>
  Array.from({ length: 60 }, (_, i) => ({
    ...EVENING_TASK,
    id: `t${i}`,
    handsOnMin: 30,
    gun: 'red',
    kind: 'spraying' as const,
  }));

describe('compareEvenings', () => {
  const DAY = 86_400_000;
  const job = (jobId: string, readyAt: number | null, dueAt: number | null, lateMin = 0) => ({
    ...{ jobId, readyAt, dueAt, lateMin },
  });
  const of = (jobs: readonly ReturnType<typeof job>[], latenessMin = 0) =>
    ({ jobs, latenessMin }) as unknown as EveningsReport;
  const t = EVENING_NOW;

  it('says which jobs come in time only then, and which no longer', () => {
    const before = of([job('a', t + 3 * DAY, t + 2 * DAY, 1440), job('b', t, t + DAY), job('c', t, null)], 1440);
    const after = of([job('a', t + DAY, t + 2 * DAY), job('b', t + 3 * DAY, t + DAY, 2880), job('c', t, null)], 2880);
    const { won, lost, shifts, lessLateMin } = compareEvenings(before, after);
    expect({ won, lost, lessLateMin }).deep.equal({ won: ['a'], lost: ['b'], lessLateMin: -1440 });
    expect(
      shifts.map(({ jobId }) => jobId),
      'the gain first',
    ).deep.equal(['a', 'b']);
  });

  it('speaks of a day, not of minutes, and of what cannot be planned to its end', () => {
    const before = of([job('a', t + 60_000, null), job('b', t, t + DAY), job('c', t, null)]);
    const after = of([job('a', t, null), job('b', null, t + DAY), job('gone', t, null)]);
    const { lost, shifts } = compareEvenings(before, after);
    expect(lost).deep.equal(['b']);
    expect(shifts).deep.equal([{ jobId: 'b', was: t, is: null, wasLate: false, isLate: true }]);
  });
});
