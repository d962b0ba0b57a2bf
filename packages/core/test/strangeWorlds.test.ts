import { expect } from 'chai';
import { compilePlan } from '../src/compile/compilePlan.ts';
import type { PlannedTask } from '../src/compile/planTypes.ts';
import { checkByNeeds } from './support/checkByNeeds.ts';
import { findHarm } from './support/findHarm.ts';
import { createLorry, planOf } from './support/lorry.ts';
import { chooseFor, createRandomPlanInput } from './support/randomPlanWorld.ts';
import { createStrangeFacts, STRANGE_WORLDS } from './support/strangeSurveys.ts';

const SEEDS = 160;

describe(`plans of strange worlds (${SEEDS} surveys)`, () => {
  for (const [i, world] of STRANGE_WORLDS.entries())
    it(`are in order, harm nothing and are always there: ${world}`, () => {
      for (let seed = i; seed < SEEDS; seed += STRANGE_WORLDS.length) {
        const { facts } = createStrangeFacts(seed);
        const input = chooseFor(facts);
        const plan = compilePlan(input);
        if (plan.kind === 'contradiction') {
          expect(plan.cycle, `seed ${seed}: ${plan.because}`).empty;
          continue;
        }
        expect([...checkByNeeds(input, plan.tasks), ...findHarm(input, plan)], `seed ${seed}`).deep.equal([]);
      }
    });
});

describe('the checker itself', () => {
  const input = createLorry();
  const tasks = planOf(input);
  const without = (lateAct: PlannedTask['act']) =>
    tasks.map((task) => (task.act === lateAct ? { ...task, after: [] } : task));

  it('finds nothing wrong with a lorry', () => expect(checkByNeeds(input, tasks)).deep.equal([]));

  it('finds a step that nothing holds back', () => {
    for (const [lateAct, rule] of [
      ['strip', '1'],
      ['open', '5'],
      ['prime', '15'],
      ['colour', '22'],
      ['close', '27'],
      ['decal', '33'],
      ['chrome', '34'],
    ] as const)
      expect(
        checkByNeeds(input, without(lateAct)).some((one) => one.startsWith(`${rule}:`)),
        lateAct,
      ).equal(true);
  });

  it('goes by what holds a step, not by where it stands in the list', () => {
    const loose = tasks.map((task) => ({ ...task, after: [] }));
    expect(checkByNeeds(input, loose).length).greaterThan(200);
    expect(checkByNeeds(createRandomPlanInput(1), []).length).equal(0);
  });
});
