import { expect } from 'chai';
import { makeTask } from '../../test/support/planWorld.ts';
import type { LogAct, Task } from '../model/task.ts';
import { sumHours } from './sumHours.ts';

const task = (id: string, more: Partial<Task> = {}): Task => ({ ...makeTask(id), id, handsOnMin: 10, ...more });
let seq = 0;
const entry = (taskId: string, act: LogAct, clock: string) => ({
  ...{ taskId, act, seq: ++seq },
  at: `2026-11-25T${clock}:00Z`,
});

describe('sumHours', () => {
  it('sorts minutes by what they go into', () => {
    const { kinds } = sumHours(
      [
        task('file', { watchedMin: 20 }),
        task('clean', { tags: ['gun cleaned'] }),
        task('brush', { tags: ['clean brush'], state: 'done' }),
        task('match', { tags: ['colour'] }),
        task('capture', { act: 'capture-colour' }),
        task('gone', { state: 'set aside' }),
        task('left', { state: 'not needed' }),
      ],
      [],
    );
    const planned = Object.entries(kinds).map(([kind, { plannedMin }]) => [kind, plannedMin]);
    expect(Object.fromEntries(planned)).deep.equal({ work: 10, cleaning: 20, matching: 20, watching: 20 });
    expect(kinds.cleaning.doneMin).equal(10);
  });

  it('measures from the start to the end, hands and watching apart', () => {
    const { kinds, doneSteps, timedSteps } = sumHours(
      [
        task('bath', { state: 'done', watchedMin: 30 }),
        task('ticked', { state: 'done' }),
        task('begun', { state: 'doing' }),
      ],
      [
        entry('bath', 'started', '18:00'),
        entry('begun', 'started', '18:05'),
        entry('bath', 'note', '18:20'),
        entry('bath', 'done', '18:45'),
        entry('ticked', 'done', '19:00'),
      ],
    );
    expect({ doneSteps, timedSteps }).deep.equal({ doneSteps: 2, timedSteps: 1 });
    expect(kinds.work).deep.equal({ plannedMin: 30, doneMin: 20, timedPlannedMin: 10, timedMin: 15 });
    expect(kinds.watching).deep.equal({ plannedMin: 30, doneMin: 30, timedPlannedMin: 30, timedMin: 30 });
  });

  it('knows nothing of what was taken back, lay open overnight or has a clock that went back', () => {
    const timed = (...log: readonly ReturnType<typeof entry>[]) =>
      sumHours([task('a', { state: 'done' })], log).timedSteps;
    expect(timed(entry('a', 'started', '07:00'), entry('a', 'done', '19:01'))).equal(0);
    expect(timed(entry('a', 'started', '07:00'), entry('a', 'done', '19:00'))).equal(1);
    expect(timed(entry('a', 'started', '18:00'), entry('a', 'done', '17:00'))).equal(0);
    // Begun again after it was taken back: the second time counts.
    const again = [entry('a', 'started', '18:00'), entry('a', 'done', '18:50'), entry('a', 'taken back', '18:51')];
    expect(timed(...again)).equal(0);
    const { kinds } = sumHours(
      [task('a', { state: 'done' })],
      [...again, entry('a', 'started', '19:00'), entry('a', 'done otherwise', '19:07')],
    );
    expect(kinds.work.timedMin).equal(7);
  });
});
