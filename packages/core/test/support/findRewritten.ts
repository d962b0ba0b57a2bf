import { createSeededRandom, pickOne, type RandomSource } from '../../src/numeric/seededRandom.ts';
import { compilePlan } from '../../src/compile/compilePlan.ts';
import { reconcilePlan } from '../../src/compile/reconcilePlan.ts';
import type { PlannedTask } from '../../src/compile/planTypes.ts';
import type { SpecimenFacts } from '../../src/facts/specimenFacts.ts';
import { SCHOOL_KEYS, SCHOOL_OPTIONS } from '../../src/model/school.ts';
import type { Task, TaskState } from '../../src/model/task.ts';
import { MATERIALS } from '../../src/model/material.ts';
import { makeCoat, makeFinding, makeTask } from './planWorld.ts';
import { chooseFor, createRandomFacts } from './randomPlanWorld.ts';

/** As a bench keeps it: what reconcilePlan says is carried out on a list of tasks, by a hand of its own. */
function store(tasks: readonly Task[], planned: readonly PlannedTask[], logged: ReadonlySet<string>): Task[] {
  const { added, changed, dropped, setAside } = reconcilePlan(tasks, planned, logged);
  const gone = new Set(dropped.map((task) => task.id));
  const aside = new Set(setAside.map((task) => task.id));
  const fresh = new Map(changed.map(({ task, planned: next }) => [task.id, next]));
  const kept = tasks
    .filter((task) => !gone.has(task.id))
    .map((task): Task => {
      const next = fresh.get(task.id);
      if (next) return { ...task, ...next, state: 'to do' };
      return aside.has(task.id) ? { ...task, state: 'set aside' } : task;
    });
  return [...kept, ...added.map((next) => makeTask(next.key, { ...next, state: 'to do' }))];
}

/**
 * A job is begun: some of its tasks are done, under way or declared not needed. Then its survey and its schools are changed
 * several times. Names every field of such a task that is not as it was, and every one that is gone.
 */
export function findRewritten(seed: number, edits = 4): string[] {
  const random = createSeededRandom(seed + 0.25);
  let facts = createRandomFacts(seed);
  const first = compilePlan(chooseFor(facts));
  if (first.kind !== 'plan') return [];
  const states: readonly TaskState[] = ['to do', 'doing', 'done', 'done', 'not needed'];
  let tasks: Task[] = first.tasks.map((task) => makeTask(task.key, { ...task, state: pickOne(states, random) }));
  const history = new Map(
    tasks.filter((task) => task.state !== 'to do').map((task) => [task.id, JSON.stringify(task)]),
  );
  const found: string[] = [];
  for (let edit = 0; edit < edits; edit++) {
    facts = changeFacts(facts, random);
    const plan = compilePlan(chooseFor(facts));
    if (plan.kind === 'plan') tasks = store(tasks, plan.tasks, new Set(history.keys()));
    for (const [id, before] of history) {
      const now = tasks.find((task) => task.id === id);
      if (!now) found.push(`seed ${seed}: ${id} is gone`);
      else if (JSON.stringify(now) !== before) found.push(`seed ${seed}: ${id} was rewritten`);
    }
  }
  return found;
}

/** One edit, as a restorer makes it. */
function changeFacts(facts: SpecimenFacts, random: RandomSource): SpecimenFacts {
  const kind = Math.floor(random() * 5);
  if (kind === 0) {
    const key = pickOne(SCHOOL_KEYS, random);
    const option = pickOne(SCHOOL_OPTIONS[key] as readonly string[], random);
    return { ...facts, decisions: { ...facts.decisions, [key]: option } };
  }
  const changed = pickOne(facts.parts, random);
  const change = (part: Partial<typeof changed>) => ({
    ...facts,
    parts: facts.parts.map((one) => (one === changed ? { ...one, ...part } : one)),
  });
  if (kind === 1)
    return change({
      findings: [...changed.findings, makeFinding(pickOne(['bent', 'cracked', 'pest', 'rust'] as const, random))],
    });
  if (kind === 2) return change({ material: pickOne(MATERIALS, random) });
  if (kind === 3) return change({ coats: [makeCoat('primer'), makeCoat('colour', { name: `edit ${random()}` })] });
  return change({ state: pickOne(['sound', 'damaged', 'missing'] as const, random), name: `renamed ${random()}` });
}
