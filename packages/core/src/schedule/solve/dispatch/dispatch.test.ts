import { expect } from 'chai';
import { findBrokenRules } from '../../../../test/support/schedule/findBrokenRules.ts';
import { makePlainWorkshop } from '../../../../test/support/schedule/plainWorkshop.ts';
import { createSmallWorld } from '../../../../test/support/schedule/smallWorlds.ts';
import { solveByMip, MIP_GAP } from '../../../../test/support/schedule/solveByMip.ts';
import { createWorld } from '../../../../test/support/schedule/workshopWorlds.ts';
import { createSeededRandom } from '../../../numeric/seededRandom.ts';
import { findChains } from '../chains.ts';
import { computeTails } from '../computeTails.ts';
import type { FoundPlan } from '../foundPlan.ts';
import { improvePlan } from '../improvePlan.ts';
import { computeCost, measurePlan } from '../measurePlan.ts';
import type { WorkPlan, Workshop } from '../workshop.ts';
import { compileTasks } from './compileTasks.ts';
import { dispatchPlan } from './dispatchPlan.ts';
import type { DispatchRule } from './dispatchRule.ts';
import { listFirstRules } from './firstRules.ts';
import { searchRules } from './searchRules.ts';
import { mixRules } from './varyRule.ts';

function dispatch(workshop: Workshop, more: Partial<DispatchRule> = {}): WorkPlan | null {
  const chains = findChains(workshop);
  const none = workshop.tasks.map(() => 0);
  return dispatchPlan(workshop, chains, compileTasks(workshop, chains, computeTails(workshop, chains)), {
    ...{
      due: workshop.jobs.map(({ dueMin }) => dueMin ?? 0),
      tailShare: 1,
      leastRun: 1,
      waitMin: 5 * 1440,
      hasteMin: 0,
    },
    ...{ idleMin: 10, sessionsAhead: 2, shift: none, putOff: none, leftTo: none.map(() => -1), ...more },
  });
}

function startsOf(workshop: Workshop, more: Partial<DispatchRule> = {}): number[] | null {
  const plan = dispatch(workshop, more);
  if (plan) expect(findBrokenRules(workshop, plan)).deep.equal([]);
  return plan && Array.from(plan.starts);
}

describe('a plan by a dispatching rule', () => {
  for (let seed = 0; seed < 10; seed++)
    it(`breaks nothing, whatever the rule: workshop ${seed}`, () => {
      const workshop = createWorld({ jobs: 6, tasksOfJob: 16, slack: 0.6 }, createSeededRandom(seed));
      let plans = 0;
      for (const found of searchRules(workshop, findChains(workshop), createSeededRandom(seed), 60)) {
        if (!found) continue;
        plans++;
        expect(findBrokenRules(workshop, found)).deep.equal([]);
      }
      expect(plans).greaterThan(40);
    });

  it('does the most urgent first, and what was shifted sooner before that', () => {
    const workshop = makePlainWorkshop([{}, { job: 1 }], {
      jobs: [
        { id: 'a', dueMin: 9000, weight: 1 },
        { id: 'b', dueMin: 3000, weight: 1 },
      ],
    });
    expect(startsOf(workshop)).deep.equal([20, 0]);
    expect(startsOf(workshop, { shift: [-9000, 0] })).deep.equal([0, 20]);
  });

  it('puts sprays of a colour together, and off until some are', () => {
    const red = { gun: 'red', handsMin: 10 };
    const apart = makePlainWorkshop([red, { ...red, notBefore: 1440 }]);
    expect(startsOf(apart)).deep.equal([0, 1440]);
    expect(startsOf(apart, { leastRun: 2 })).deep.equal([1440, 1450]);
    expect(measurePlan(apart, dispatch(apart, { leastRun: 2 })!).cleanings).equal(1);
  });

  it('waits no longer for a second spray than it may', () =>
    expect(
      startsOf(makePlainWorkshop([{ gun: 'red' }, { gun: 'red', notBefore: 9000 }]), { leastRun: 2, waitMin: 2000 }),
    ).deep.equal([2880, 10080]));

  it('does something short while the next coat flashes off, and leaves the gun as it is', () => {
    const coat = { task: 0, spans: [{ from: 20, to: 180 }] };
    const workshop = makePlainWorkshop([
      { gun: 'red', handsMin: 10 },
      { gun: 'red', handsMin: 10, after: [coat] },
      { handsMin: 15 },
    ]);
    expect(startsOf(workshop, { shift: [-99, -99, 0] })).deep.equal([0, 30, 10]);
    expect(measurePlan(workshop, dispatch(workshop, { shift: [-99, -99, 0] })!).cleanings).equal(1);
  });

  it('looks to a window that shuts before what is more urgent', () => {
    const strip = { task: 0, spans: [{ from: 1000, to: 3000 }] };
    const long = (i: number) => ({ handsMin: 100, job: 1, id: `long ${i}` });
    const workshop = makePlainWorkshop([{}, { handsMin: 110, after: [strip] }, long(0), long(1), long(2), long(3)], {
      jobs: [
        { id: 'a', dueMin: 90000, weight: 1 },
        { id: 'b', dueMin: 1, weight: 1 },
      ],
    });
    const starts = startsOf(workshop, { shift: [-1e6, 0, 0, 0, 0, 0] })!;
    expect(starts[1]).within(1440, 2900);
  });

  it('begins nothing that must be followed when nobody comes', () => {
    const follows = { task: 0, spans: [{ from: 0, to: 300 }] };
    // Only the second one can go on, and only from the fifth day.
    const workshop = makePlainWorkshop([{}, { handsMin: 100, after: [follows], who: [1] }], {}, 2);
    const away = {
      ...workshop,
      restorers: workshop.restorers.map((one, i) => (i ? { ...one, sessions: one.sessions.slice(5) } : one)),
    };
    expect(startsOf(away)).deep.equal([5 * 1440, 5 * 1440 + 20]);
  });

  it('keeps what was put at a minute, and works round it', () => {
    const workshop = makePlainWorkshop([{ handsMin: 70 }, { within: [{ from: 60, to: 61 }] }, { handsMin: 40 }]);
    expect(startsOf(workshop, { shift: [-99, 0, 0] })).deep.equal([1440, 60, 0]);
  });

  it('is none where two were put at the same minute', () => {
    const pinned = { within: [{ from: 60, to: 61 }] };
    expect(startsOf(makePlainWorkshop([pinned, pinned]))).equal(null);
  });

  it('leaves a task to whom the rule says', () => {
    const workshop = makePlainWorkshop([{ who: [0, 1] }, { who: [0, 1] }], {}, 2);
    expect(Array.from(dispatch(workshop)!.who)).deep.equal([0, 1]);
    expect(Array.from(dispatch(workshop, { leftTo: [1, 1] })!.who)).deep.equal([1, 1]);
  });

  it('blasts in dry weather, from the hour it is dry', () =>
    expect(startsOf(makePlainWorkshop([{ isDry: true }], { dry: [{ from: 1500, to: 4000 }] }))).deep.equal([1500]));

  it('is none where a task is longer than any evening', () =>
    expect(startsOf(makePlainWorkshop([{ handsMin: 121 }]))).equal(null));
});

describe('a mix of two rules', () => {
  it('has everything of a job as the one or the other, and of both in the long run', () => {
    const workshop = createSmallWorld(createSeededRandom(3));
    const [a, b] = listFirstRules(workshop).map((rule, i) => ({
      ...rule,
      ...{ due: rule.due.map((_, job) => 10 * i + job), shift: rule.shift.map((_, task) => 1000 * i + task) },
      ...{ putOff: rule.putOff.map(() => i), leftTo: rule.leftTo.map(() => i) },
    }));
    const random = createSeededRandom(1);
    const ofWhom = new Set<string>();
    for (let i = 0; i < 50; i++) {
      const mixed = mixRules(workshop, a!, b!, random);
      const whose = mixed.due.map((due) => Math.floor(due / 10));
      expect(mixed.due).deep.equal(whose.map((who, job) => 10 * who + job));
      for (const [task, { job }] of workshop.tasks.entries()) {
        expect(mixed.shift[task]).equal(1000 * whose[job]! + task);
        expect([mixed.putOff[task], mixed.leftTo[task]]).deep.equal([whose[job], whose[job]]);
      }
      ofWhom.add(whose.join(''));
    }
    expect(ofWhom.size).equal(2 ** workshop.jobs.length);
  });
});

describe('a small workshop', function () {
  this.timeout(180_000);
  for (const seed of [3, 4, 10])
    it(`is planned as well as a mixed-integer program proves possible: ${seed}`, async () => {
      const workshop = createSmallWorld(createSeededRandom(seed));
      const best = await solveByMip(workshop, 120);
      let found: FoundPlan | null = null;
      for (const step of improvePlan(workshop, createSeededRandom(seed), 6000)) found = step.best;
      expect(findBrokenRules(workshop, found!)).deep.equal([]);
      expect(computeCost(found!)).within(best! * (1 - MIP_GAP), best! * (1 + MIP_GAP));
    });
});
