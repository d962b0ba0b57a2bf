import { join } from 'node:path';
import { compilePlan } from '../src/compile/compilePlan.ts';
import type { PlannedTask } from '../src/compile/planTypes.ts';
import { PLAN_RULES } from '../src/compile/rules/planRules.ts';
import { expectApproved } from './support/expectApproved.ts';
import { createRandomPlanInput } from './support/randomPlanWorld.ts';
import { writeTask } from './support/writeTask.ts';

const SURVEYS = 400;
const MODELS = 40;
/** So many ways of saying it are kept of one rule. */
const MOST = 6;

describe('tasks as they were read and approved', () => {
  it('are what each rule makes of random surveys, word by word', () => {
    const found = new Map<string, Map<string, PlannedTask>>(PLAN_RULES.map(({ id }) => [id, new Map()]));
    const notices = new Map<string, string>();
    for (let seed = 1; seed <= SURVEYS; seed++) {
      const plan = compilePlan(createRandomPlanInput(seed));
      if (plan.kind === 'contradiction') notices.set(plan.because.slice(0, 24), plan.because);
      else {
        for (const { words } of plan.notices) notices.set(words.replace(/^\S+/, '').slice(0, 24), words);
        for (const task of plan.tasks) {
          const own = found.get(task.rule)!;
          const kind = `${task.act} ${task.how.slice(0, 30)} ${task.method ?? ''}`;
          if (own.size < MOST && !own.has(kind)) own.set(kind, task);
        }
      }
    }
    const rules = [...found].map(([id, tasks]) => `== ${id}\n\n${[...tasks.values()].map(writeTask).join('\n\n')}`);
    const told = `== told beside the plan\n\n${[...notices.values()].join('\n')}`;
    expectApproved(join(import.meta.dirname, 'approved/tasks.txt'), [...rules, told].join('\n\n'));
  });

  it('come in this order, each after these, on random models', () => {
    const plans = Array.from({ length: MODELS }, (_, i) => {
      const input = createRandomPlanInput(i + 1);
      const plan = compilePlan(input);
      const parts = input.parts.map(({ key, material, state }) => `${key} ${material} ${state}`);
      if (plan.kind === 'contradiction') return `== ${parts.join(', ')}\n${plan.because}`;
      const tasks = plan.tasks.map(
        ({ key, handsOnMin, after }) => `${key} ${handsOnMin}${after.map((link) => ` < ${link.key}`).join('')}`,
      );
      return [`== ${parts.join(', ')}`, ...tasks, ...plan.notices.map((notice) => `! ${notice.words}`)].join('\n');
    });
    expectApproved(join(import.meta.dirname, 'approved/plans.txt'), plans.join('\n\n'));
  });
});
