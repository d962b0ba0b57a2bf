import { expect } from 'chai';
import { checkStart } from '../src/gates/checkStart.ts';
import { compilePlan } from '../src/compile/compilePlan.ts';
import type { PlannedTask } from '../src/compile/planTypes.ts';
import { reconcilePlan } from '../src/compile/reconcilePlan.ts';
import { checkSignOff } from '../src/gates/checkSignOff.ts';
import { selectNextTask } from '../src/schedule/selectNextTask.ts';
import type { Task } from '../src/model/task.ts';
import { createSeededRandom, pickOne } from '../src/numeric/seededRandom.ts';
import { createPlainModel, makeTask } from './support/planWorld.ts';
import { createRandomPlanInput } from './support/randomPlanWorld.ts';

const NOW = new Date('2026-11-25T18:30:00Z');

const toTask = (planned: PlannedTask): Task =>
  makeTask(planned.key, {
    ...planned,
    irreversible: planned.cannotBeUndone !== '',
  });

/** Of the random survey with that seed; where its findings and schools exclude each other, of the next of its row. */
function compileSeed(seed: number): readonly PlannedTask[] {
  const plan = compilePlan(createRandomPlanInput(seed));
  return plan.kind === 'plan' ? plan.tasks : compileSeed(seed + 10_000);
}

const tasksOf = (seed: number): Task[] => compileSeed(seed).map(toTask);

/** A restorer who always does what the bench says next, one task at a time. */
describe('working through a plan', () => {
  for (let seed = 1; seed <= 40; seed++) {
    it(`never stops before it is finished (seed ${seed})`, () => {
      let tasks = tasksOf(seed);
      for (let step = 0; step < 500; step++) {
        const { task, blockedBy } = selectNextTask(tasks, NOW);
        if (!task) {
          expect(blockedBy).equal(null);
          break;
        }
        const others = tasks.filter((other) => other.state === 'doing');
        expect(checkStart(task, tasks, others, [], NOW), task.key).deep.equal([]);
        tasks = tasks.map((other) => (other.id === task.id ? { ...other, state: 'done' as const } : other));
      }
      expect(checkSignOff([], tasks, NOW)).deep.equal([]);
    });
  }

  it('lets nothing start out of order, whatever is tried (seeds 1 to 30)', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const random = createSeededRandom(seed);
      let tasks = tasksOf(seed);
      const done = new Set<string>();
      for (let step = 0; step < 120; step++) {
        const open = tasks.filter((task) => task.state === 'to do');
        if (open.length === 0) break;
        const tried = pickOne(open, random);
        const refusals = checkStart(tried, tasks, [], [], NOW);
        const isReady = tried.after.every((link) => done.has(link.key));
        expect(refusals.length === 0, `seed ${seed}, ${tried.key}`).equal(isReady);
        for (const refusal of refusals) expect(refusal.message).match(/^First ".+": .+\.$/);
        if (!isReady) continue;
        done.add(tried.key);
        tasks = tasks.map((task) => (task.id === tried.id ? { ...task, state: 'done' as const } : task));
      }
      expect(done.size).greaterThan(0);
    }
  });

  it('keeps spark and vapour apart when two models are worked on at once (seeds 1 to 30)', () => {
    let kept = 0;
    for (let seed = 1; seed <= 30; seed++) {
      const here = tasksOf(seed).map((task) => ({ ...task, after: [] }));
      const there = tasksOf(seed + 500).map((task) => ({
        ...task,
        id: `other.${task.key}`,
        specimenId: 'other',
        after: [],
      }));
      for (const running of there.map((task) => ({ ...task, state: 'doing' as const }))) {
        for (const task of here) {
          const ignites = (one: Task) => one.tags.includes('spark') || one.tags.includes('flame');
          const smells = (one: Task) => one.tags.includes('vapour') || one.tags.includes('bath');
          const meets = (ignites(task) && smells(running)) || (smells(task) && ignites(running));
          expect(checkStart(task, here, [running], [], NOW).length > 0, `${task.key} beside ${running.key}`).equal(
            meets,
          );
          if (meets) kept++;
        }
      }
    }
    expect(kept).greaterThan(100);
  });
});

describe('changing a plan under way', () => {
  it('never loses what was begun, done or logged, for any two surveys (seeds 1 to 60)', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const random = createSeededRandom(seed);
      const before = tasksOf(seed).map((task) => ({
        ...task,
        state: pickOne(['to do', 'to do', 'doing', 'done'] as const, random),
      }));
      const logged = new Set(before.filter(() => random() < 0.2).map((task) => task.id));
      const planned = compileSeed(seed + 1000);
      const { added, changed, dropped, setAside } = reconcilePlan(before, planned, logged);
      for (const task of dropped)
        expect(task.state === 'to do' && !logged.has(task.id), `seed ${seed}: ${task.key}`).equal(true);
      const history = before.filter((task) => task.state === 'doing' || task.state === 'done');
      expect(changed.length + dropped.length + setAside.length).equal(before.length - history.length);
      const stands = history.filter((task) => planned.some((one) => one.key === task.key));
      expect(added.length + changed.length + stands.length).equal(planned.length);
    }
  });

  it('changes nothing when nothing changed', () => {
    const plan = compilePlan(createPlainModel());
    if (plan.kind === 'contradiction') throw new Error(plan.because);
    const { added, dropped, setAside, changed } = reconcilePlan(plan.tasks.map(toTask), plan.tasks, new Set());
    expect([added, dropped, setAside]).deep.equal([[], [], []]);
    for (const { task, planned } of changed) expect(task.title).equal(planned.title);
  });
});
