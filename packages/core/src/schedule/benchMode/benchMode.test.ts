import { expect } from 'chai';
import { makeTask } from '../../../test/support/planWorld.ts';
import type { TimerKind } from '../../model/work.ts';
import { sayLate } from '../../words/sayLate.ts';
import type { EveningTask } from '../evenings/eveningsInput.ts';
import { chooseAct } from './chooseAct.ts';
import { choosePress } from './choosePress.ts';
import { explainLate, LATE_MEANINGS } from './explainLate.ts';

const NOW = Date.parse('2026-11-25T19:30:00Z');
const MINUTE_MS = 60_000;

const step = (id: string, more: Partial<EveningTask> = {}): EveningTask => ({
  ...{ id, jobId: 'job', title: id, station: 'strip', act: 'strip', handsOnMin: 10, watchedMin: 0, passiveMin: 0 },
  ...{ isUnderWay: false, kind: null, air: null, isDry: false, bath: null, inOven: false, inBooth: false, gun: null },
  ...{ isGunCare: false, after: [], windows: [{ from: null, to: null }], isPastWindow: false, arrivesAt: null },
  ...{ isArrivalGuess: false, ...more },
});
const clock = (taskId: string, minutes: number, kind: TimerKind = 'bath') => ({
  ...{ taskId, kind, label: taskId, acknowledgedAt: null },
  endsAt: new Date(NOW + minutes * MINUTE_MS).toISOString(),
});
const choose = (
  tasks: readonly EveningTask[],
  clocks: readonly ReturnType<typeof clock>[] = [],
  present: string | null = null,
) =>
  chooseAct(
    tasks.map(({ id }) => id),
    tasks,
    clocks,
    present,
    NOW,
  );

describe('chooseAct', () => {
  it('begins with the first of the run, and says what follows', () => {
    const { act, then, running } = choose([step('a'), step('b')]);
    expect(act).deep.equal({ taskId: 'a', state: 'ready', until: null });
    expect(then!.taskId).equal('b');
    expect(running).deep.equal([]);
  });

  it('says as next what can be begun then: not what waits for another', () => {
    const after = (id: string, taskId: string, waitMin = 0) =>
      step(id, { after: [{ taskId, waitMin, latestMin: null }] });
    expect(choose([step('a'), after('b', 'a'), step('c')]).then!.taskId).equal('b');
    expect(choose([step('a'), after('b', 'a', 20), step('c')]).then!.taskId, 'dries first').equal('c');
    expect(choose([step('a'), after('b', 'elsewhere'), step('c')]).then!.taskId).equal('c');
    expect(choose([step('a'), after('b', 'elsewhere')]).then).equal(null);
  });

  it('goes on with the next while a clock runs, and comes back when it is over', () => {
    const soak = step('soak', { isUnderWay: true });
    const going = choose([soak, step('b')], [clock('soak', 20)]);
    expect(going.act!.taskId).equal('b');
    expect(going.running).deep.equal([{ taskId: 'soak', state: 'runs', until: NOW + 20 * MINUTE_MS }]);
    expect(choose([soak, step('b')], [clock('soak', -1)]).act).deep.include({ taskId: 'soak', state: 'to finish' });
    expect(choose([step('b'), soak]).act!.taskId, 'nobody started a clock').equal('soak');
  });

  it('stays with the present act while that can be gone on with, whatever the plan says by now', () => {
    const [a, b, soak] = [step('a'), step('b'), step('soak', { isUnderWay: true })];
    expect(choose([a, b], [], 'b').act!.taskId).equal('b');
    expect(choose([a, soak], [], 'a').act!.taskId).equal('a');
    expect(choose([a, soak], [], 'soak').act!.taskId).equal('soak');
    expect(choose([a, soak], [clock('soak', 9)], 'soak').act!.taskId, 'it runs').equal('a');
    const dries = step('b', { windows: [{ from: NOW + 1, to: null }] });
    expect(choose([a, dries], [], 'b').act!.taskId, 'it waits').equal('a');
  });

  it('passes over what waits, and says from when where nothing else is there', () => {
    const dries = step('dries', { windows: [{ from: NOW + 40 * MINUTE_MS, to: null }] });
    const post = step('post', { arrivesAt: NOW + 90 * MINUTE_MS });
    const after = step('after', { after: [{ taskId: 'dries', waitMin: 0, latestMin: null }] });
    expect(choose([dries, step('b')]).act!.taskId).equal('b');
    const stuck = choose([post, dries, after, step('cold', { windows: null })]);
    expect(stuck.act).equal(null);
    expect(stuck.from).equal(NOW + 40 * MINUTE_MS);
    expect(choose([after]).from, 'nobody can say').equal(null);
  });

  it('takes a window that stands open, and not one that has shut or opens again', () => {
    const gap = [
      { from: NOW - 60 * MINUTE_MS, to: NOW - MINUTE_MS },
      { from: NOW + 9 * MINUTE_MS, to: null },
    ];
    expect(choose([step('coat', { windows: gap })]).from).equal(NOW + 9 * MINUTE_MS);
    expect(choose([step('coat', { windows: [{ from: NOW, to: NOW }] })]).act!.taskId).equal('coat');
  });

  it('never brings up a spark beside vapour, nor vapour beside heat', () => {
    const spark = step('spark', { air: 'spark' });
    const vapour = step('vapour', { air: 'vapour' });
    const bath = step('bath', { isUnderWay: true, air: 'vapour' });
    expect(choose([bath, spark, step('file')], [clock('bath', 30)]).act!.taskId).equal('file');
    expect(choose([spark], [clock('other', 20, 'flash')]).act).equal(null);
    expect(choose([spark], [clock('other', 5, 'airing')]).act).equal(null);
    expect(choose([spark], [clock('other', -5, 'airing')]).act!.taskId).equal('spark');
    expect(choose([vapour], [clock('other', 20, 'heat')]).act).equal(null);
    const torch = step('torch', { isUnderWay: true, air: 'spark' });
    expect(choose([torch, vapour], [clock('torch', 5, 'cure')]).act).equal(null);
  });

  it('knows nothing of steps that are no longer open', () => {
    expect(chooseAct(['gone', 'a'], [step('a')], [], 'gone', NOW).act!.taskId).equal('a');
    expect(chooseAct([], [], [], null, NOW)).deep.equal({ act: null, then: null, running: [], from: null });
  });
});

describe('choosePress', () => {
  const task = (more: Partial<ReturnType<typeof makeTask>>) => ({ ...makeTask('a'), ...more });

  it('is done at once where nothing hurts and nothing is watched', () => {
    expect(choosePress(task({}), [], false)).deep.equal({ does: 'done', isHeld: false, clock: null });
  });

  it('has every hazard read by itself, held, before the start', () => {
    const grave = task({ hazards: ['old-paint', 'caustic-bath'], watchedMin: 30, tags: ['bath'] });
    expect(choosePress(grave, [], false)).deep.equal({ does: 'read', hazard: 'old-paint', isHeld: true });
    expect(choosePress(grave, ['old-paint'], false)).deep.include({ does: 'read', hazard: 'caustic-bath' });
    const start = choosePress(grave, ['caustic-bath', 'old-paint'], false);
    expect(start).deep.include({ does: 'start', isHeld: false });
    expect(start).nested.include({ 'clock.minutes': 30, 'clock.kind': 'bath' });
    expect(choosePress({ ...grave, irreversible: true }, grave.hazards, false)).include({ isHeld: true });
  });

  it('holds what cannot be undone also where nothing hurts', () => {
    expect(choosePress(task({ irreversible: true }), [], false)).deep.include({ does: 'start', isHeld: true });
  });

  it('starts a watched clock with the step, and asks for it again where it was not', () => {
    const soak = task({ watchedMin: 15 });
    expect(choosePress(soak, [], false)).deep.include({ does: 'start' });
    expect(choosePress({ ...soak, state: 'doing' }, [], false)).deep.include({ does: 'start clock' });
    expect(choosePress({ ...soak, state: 'doing' }, [], true)).deep.equal({ does: 'done', isHeld: false, clock: null });
  });

  it('leaves the clocks of stripping to its passes', () => {
    const strip = task({ watchedMin: 90, tags: ['strip', 'bath'], hazards: ['caustic-bath'] });
    expect(choosePress(strip, ['caustic-bath'], false)).deep.equal({ does: 'start', isHeld: false, clock: null });
    expect(choosePress({ ...strip, state: 'doing' }, [], false)).deep.include({ does: 'done', clock: null });
  });

  it('starts the clock of what only waits when the hands have done', () => {
    const glue = task({ passiveMin: 240 });
    const press = choosePress(glue, [], false);
    expect(press).deep.include({ does: 'done' });
    expect(press).nested.include({ 'clock.minutes': 240, 'clock.kind': 'cure' });
  });
});

describe('explainLate', () => {
  it('speaks of the bath that the part lies in, else of the kind of clock', () => {
    expect(explainLate({ kind: 'bath' }, 'caustic')).equal('caustic works on');
    expect(explainLate({ kind: 'soak' }, 'dip stripper')).equal('bath works on');
    expect(explainLate({ kind: 'heat' }, null)).equal('still hot');
    expect(explainLate({ kind: 'cure' }, null)).equal('only harder');
  });

  it('says what to look at where something is spoiled by waiting', () => {
    for (const meaning of LATE_MEANINGS) {
      const harmless = ['only harder', 'aired', 'window runs'].includes(meaning);
      expect(sayLate(meaning).startsWith('Look at'), meaning).equal(!harmless);
    }
  });
});
