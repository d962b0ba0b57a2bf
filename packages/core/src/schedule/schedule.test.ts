import { expect } from 'chai';
import { makeTask } from '../../test/support/planWorld.ts';
import type { Restorer } from '../model/work.ts';
import { chooseClock } from './chooseClock.ts';
import { computeStationState } from './computeStationState.ts';
import { findNextSession } from './findNextSession.ts';
import { selectNextTask } from './selectNextTask.ts';

const restorer = (name: string, ...sessions: Restorer['sessions']): Restorer => ({
  id: name,
  version: 1,
  ...{ exceptions: [], leaves: [] },
  name,
  does: '',
  sessions,
});
const evening = (weekday: number) => ({ weekday, startHour: 19, minutes: 120 });
const wednesday = new Date('2026-11-25T18:00:00Z');

describe('findNextSession', () => {
  it('finds the session that comes first, whoever has it', () => {
    const session = findNextSession([restorer('Imke', evening(4)), restorer('Osric', evening(3))], wednesday, 'UTC');
    expect(session).deep.include({ who: 'Osric', minutesLeft: 120, underWay: false });
    expect(session!.startsAt.toISOString()).equal('2026-11-25T19:00:00.000Z');
  });

  it('counts what is left of one that is under way', () => {
    const session = findNextSession([restorer('Osric', evening(3))], new Date('2026-11-25T19:45:00Z'), 'UTC');
    expect(session).deep.include({ minutesLeft: 75, underWay: true });
  });

  it('goes to next week when this one has ended', () => {
    const session = findNextSession([restorer('Osric', evening(3))], new Date('2026-11-25T21:00:00Z'), 'UTC');
    expect(session!.startsAt.toISOString()).equal('2026-12-02T19:00:00.000Z');
  });

  it('reads hours as local ones, across midnight of the world clock', () => {
    const session = findNextSession(
      [restorer('Osric', evening(3))],
      new Date('2026-11-25T23:30:00Z'),
      'America/Los_Angeles',
    );
    expect(session!.startsAt.toISOString()).equal('2026-11-26T03:00:00.000Z');
  });

  it('knows when nobody comes', () => expect(findNextSession([restorer('Osric')], wednesday, 'UTC')).equal(null));
});

describe('selectNextTask', () => {
  const wait = (key: string, waitMin = 0) => [{ key, rule: 'O1', because: '', waitMin, latestMin: null }];

  it('takes what is under way, else the first that may start in plan order', () => {
    const tasks = [
      makeTask('b', { seq: 1, after: wait('a') }),
      makeTask('a', { seq: 0, state: 'done' }),
      makeTask('c', { seq: 2 }),
    ];
    expect(selectNextTask(tasks, wednesday).task!.key).equal('b');
    expect(selectNextTask([...tasks, makeTask('d', { seq: 3, state: 'doing' })], wednesday).task!.key).equal('d');
  });

  it('names what everything waits for', () => {
    const tasks = [makeTask('a', { after: wait('b') }), makeTask('b', { seq: 1, after: wait('a') })];
    expect(selectNextTask(tasks, wednesday)).deep.equal({ task: null, blockedBy: { title: 'b', from: null } });
    expect(selectNextTask([], wednesday)).deep.equal({ task: null, blockedBy: null });
  });
});

describe('a wait', () => {
  const tasks = [
    makeTask('colour', { state: 'done', passiveMin: 60, doneAt: '2026-11-25T17:30:00Z' }),
    makeTask('mask', { after: [{ key: 'colour', rule: 'O23', because: '', waitMin: 60, latestMin: null }] }),
  ];

  it('keeps a task back until it is over, and says from when', () => {
    const early = selectNextTask(tasks, wednesday);
    expect(early).deep.equal({ task: null, blockedBy: { title: 'colour', from: '2026-11-25T18:30:00.000Z' } });
    expect(selectNextTask(tasks, new Date('2026-11-25T18:30:00Z')).task).equal(tasks[1]);
  });
});

describe('chooseClock', () => {
  it('watches first, waits second, else has no clock', () => {
    expect(chooseClock(makeTask('gel', { watchedMin: 25, passiveMin: 60 }))).deep.equal({
      kind: 'soak',
      minutes: 25,
      label: 'gel',
      word: 'Watch it for',
    });
    expect(chooseClock(makeTask('glue', { passiveMin: 60 }))).deep.include({ kind: 'cure', minutes: 60 });
    expect(chooseClock(makeTask('look'))).equal(null);
  });

  it('counts heat as heat, a bath as a bath, and drying paint as vapour', () => {
    expect(chooseClock(makeTask('warm', { watchedMin: 5, tags: ['heat'] }))!.kind).equal('heat');
    expect(chooseClock(makeTask('dip', { watchedMin: 5, tags: ['bath'] }))!.kind).equal('bath');
    expect(chooseClock(makeTask('spray', { passiveMin: 60, tags: ['vapour'] }))!.kind).equal('flash');
  });
});

describe('computeStationState', () => {
  it('sums what is left and leaves out what fell out of the plan', () => {
    const tasks = [
      makeTask('a', { state: 'done', handsOnMin: 9 }),
      makeTask('b', { handsOnMin: 10, watchedMin: 25, irreversible: true }),
      makeTask('c', { state: 'doing', handsOnMin: 5, passiveMin: 60 }),
      makeTask('d', { state: 'not needed', handsOnMin: 99 }),
      makeTask('e', { station: 'open', handsOnMin: 99 }),
    ];
    expect(computeStationState(tasks, 'strip')).deep.equal({
      total: 3,
      done: 1,
      handsOnDoneMin: 9,
      handsOnLeftMin: 15,
      waitingLeftMin: 85,
      irreversibleLeft: 1,
    });
    expect(computeStationState([], 'strip').total).equal(0);
  });
});
