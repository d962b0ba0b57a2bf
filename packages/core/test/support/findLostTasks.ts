import { createSeededRandom, pickOne } from '../../src/numeric/seededRandom.ts';
import { compilePlan } from '../../src/compile/compilePlan.ts';
import type { CompiledPlan } from '../../src/compile/planTypes.ts';
import type { SpecimenFacts } from '../../src/facts/specimenFacts.ts';
import { reconcilePlan } from '../../src/compile/reconcilePlan.ts';
import { SCHOOLS } from '../../src/schools/schools.ts';
import { makeFinding, makeTask } from './planWorld.ts';
import { chooseFor, createRandomFacts } from './randomPlanWorld.ts';

/**
 * Some tasks of a random plan are under way, done or have a note; then a finding or a school changes and the plan is compiled
 * again. Names every such task that neither stays in the plan nor is kept aside, and every new task that is not in it.
 */
export function findLostTasks(seed: number): string[] {
  const random = createSeededRandom(seed);
  const before = createRandomFacts(seed);
  const plan = compile(before);
  const after = compile(change(before, random));
  if (plan.kind !== 'plan' || after.kind !== 'plan') return [];
  const tasks = plan.tasks.map((task) =>
    makeTask(task.key, { state: random() < 0.3 ? pickOne(['doing', 'done'] as const, random) : 'to do' }),
  );
  const noted = new Set(tasks.filter(() => random() < 0.1).map((task) => task.id));
  const { added, changed, dropped, setAside } = reconcilePlan(tasks, after.tasks, noted);
  const kept = new Set([...changed.map(({ task }) => task.key), ...setAside.map((task) => task.key)]);
  const there = new Set([
    ...changed.map(({ task }) => task.key),
    ...added.map((task) => task.key),
    ...tasks.filter((task) => task.state !== 'to do').map((task) => task.key),
  ]);
  return [
    ...tasks
      .filter((task) => task.state === 'to do' && noted.has(task.id) && !kept.has(task.key))
      .map((task) => `${task.key} is lost`),
    ...dropped.filter((task) => task.state !== 'to do' || noted.has(task.id)).map((task) => `${task.key} is dropped`),
    ...after.tasks.filter((task) => !there.has(task.key)).map((task) => `${task.key} is not taken up`),
  ];
}

function compile(question: SpecimenFacts): CompiledPlan {
  return compilePlan(chooseFor(question));
}

/** One edit, as a restorer makes it. */
function change(question: SpecimenFacts, random: () => number): SpecimenFacts {
  if (random() < 0.5) {
    const school = pickOne(SCHOOLS, random);
    return { ...question, decisions: { ...question.decisions, [school.key]: pickOne(school.options, random) } };
  }
  const changed = pickOne(question.parts, random);
  const findings = [...changed.findings, makeFinding(pickOne(['bent', 'cracked', 'pest', 'rust'] as const, random))];
  return { ...question, parts: question.parts.map((part) => (part === changed ? { ...part, findings } : part)) };
}
