import { expect } from 'chai';
import { makeLog, makeTask } from '../../test/support/planWorld.ts';
import type { Task, TaskLog } from '../model/task.ts';
import { needsStopCheck } from './needsStopCheck.ts';

const task = (key: string, more: Partial<Task> = {}): Task => makeTask(key, { irreversible: true, ...more });
const went = (taskId: string): TaskLog => ({
  id: 'l',
  seq: 1,
  taskId,
  jobId: 'j',
  who: 'w',
  at: '',
  act: 'went ahead',
  note: 'x',
  work: makeLog(makeTask('strip'), 'went ahead').work,
});

describe('needsStopCheck', () => {
  const strip = task('strip');
  const drill = task('drill');

  it('asks before the first step that cannot be undone, and before no other', () => {
    expect(needsStopCheck(strip, [strip, drill], [])).equal(true);
    expect(needsStopCheck(task('wash', { irreversible: false }), [strip], [])).equal(false);
  });

  it('does not ask again once one was begun or done', () => {
    expect(needsStopCheck(strip, [strip, task('drill', { state: 'doing' })], [])).equal(false);
    expect(needsStopCheck(strip, [strip, task('drill', { state: 'done' })], [])).equal(false);
    expect(needsStopCheck(strip, [strip, task('wash', { irreversible: false, state: 'done' })], [])).equal(true);
  });

  it('is settled by a decision to go ahead with this specimen, not with another of the job', () => {
    expect(needsStopCheck(strip, [strip, drill], [went('s.drill')])).equal(false);
    expect(needsStopCheck(strip, [strip, drill], [went('other.drill')])).equal(true);
    expect(needsStopCheck(strip, [strip], [{ ...went('s.strip'), act: 'taken back' }])).equal(true);
  });
});
