import { expect } from 'chai';
import { makeTask } from '../../../test/support/planWorld.ts';
import type { Task } from '../../model/task.ts';
import { listEveningTasks, type PlannedTask } from './listEveningTasks.ts';

const NOW = Date.parse('2026-11-25T18:00:00Z');
const at = (hours: number) => NOW + hours * 3_600_000;
const iso = (hours: number) => new Date(at(hours)).toISOString();
const link = (key: string, waitMin: number, latestMin: number | null = null): Task['after'][number] => ({
  ...{ key, rule: 'x', because: 'so', waitMin, latestMin },
});

function listOne(before: Partial<PlannedTask>, links: Task['after']) {
  const tasks = [makeTask('first', { state: 'done', doneAt: iso(-1), ...before }), makeTask('next', { after: links })];
  return listEveningTasks(tasks, NOW, () => null).find(({ id }) => id === tasks[1]!.id)!;
}

describe('open tasks of an evening', () => {
  it('wait for those that are open, and for what was done by its minutes', () => {
    expect(listOne({ state: 'to do', doneAt: null }, [link('first', 30, 90)])).deep.include({
      after: [{ taskId: makeTask('first').id, waitMin: 30, latestMin: 90 }],
      windows: [{ from: null, to: null }],
    });
    expect(listOne({}, [link('first', 120, 240)])).deep.include({
      after: [],
      windows: [{ from: at(1), to: at(3) }],
      isPastWindow: false,
    });
  });

  it('count anew from when somebody looked, and wait no more', () => {
    expect(listOne({ lookedAt: iso(-0.5) }, [link('first', 120, 240)]).windows).deep.equal([
      { from: null, to: at(3.5) },
    ]);
  });

  it('go on past a window that has shut, and say so', () => {
    expect(listOne({ doneAt: iso(-9) }, [link('first', 0, 240)])).deep.include({
      windows: [{ from: null, to: null }],
      isPastWindow: true,
    });
  });

  it('keep both windows of a coat and its gap, and know what never dries', () => {
    const film = (spans: readonly { from: number; to: number | null }[]) =>
      Object.fromEntries(
        ['touch', 'handle', 'mask', 'unmask', 'recoat', 'decal', 'bake', 'wear'].map((act) => [act, spans]),
      ) as unknown as NonNullable<PlannedTask['film']>;
    const two = [
      { from: at(-0.5), to: at(2) },
      { from: at(24), to: null },
    ];
    expect(listOne({ film: film(two) }, [link('first', 30)]).windows).deep.equal(two);
    expect(listOne({ film: film([]) }, [link('first', 30)]).windows).equal(null);
    const shut = listOne({ film: film([{ from: at(-3), to: at(-1) }]) }, [link('first', 30)]);
    expect(shut).deep.include({ isPastWindow: true, windows: [{ from: null, to: null }] });
  });

  it('count the care of the gun once for all, and know whose work each is', () => {
    const tasks = [
      makeTask('a', { tags: ['gun rinsed'] }),
      makeTask('b', { tags: ['drill'] }),
      makeTask('c', { tags: ['decal'] }),
      makeTask('d', { tags: ['wash'], state: 'not needed' }),
    ];
    expect(listEveningTasks(tasks, NOW, () => null).map(({ kind, isGunCare }) => [kind, isGunCare])).deep.equal([
      ['spraying', true],
      ['metal work', false],
      ['decals', false],
    ]);
  });

  it('wait for the post where somebody gets what a want asks for', () => {
    const tasks = [makeTask('get', { act: 'get', of: { wantId: 'w' } })];
    const [task] = listEveningTasks(tasks, NOW, (wantId) => (wantId === 'w' ? { at: at(50), isGuess: true } : null));
    expect(task).deep.include({ arrivesAt: at(50), isArrivalGuess: true });
  });
});
