import { expect } from 'chai';
import { findBrokenRules } from '../../../test/support/schedule/findBrokenRules.ts';
import { makePlainWorkshop } from '../../../test/support/schedule/plainWorkshop.ts';
import { planByHand } from '../../../test/support/schedule/planByHand.ts';
import { createWorld } from '../../../test/support/schedule/workshopWorlds.ts';
import { runToEnd } from '../../numeric/runToEnd.ts';
import { createSeededRandom } from '../../numeric/seededRandom.ts';
import { boundFinish } from './boundFinish.ts';
import { findChains } from './chains.ts';
import type { FoundPlan } from './foundPlan.ts';
import { improvePlan } from './improvePlan.ts';
import { listOrders } from './listOrders.ts';
import { computeCost, measurePlan } from './measurePlan.ts';
import { placeTasks } from './placeTasks.ts';
import type { Workshop, WorkTask } from './workshop.ts';
import { WorkshopLines } from './workshopLines.ts';

const plan = (workshop: Workshop, seed = 1, rounds = 40): FoundPlan | null =>
  runToEnd(improvePlan(workshop, createSeededRandom(seed), rounds));

const small = (seed: number, slack = 0.9) => createWorld({ jobs: 8, tasksOfJob: 14, slack }, createSeededRandom(seed));

const startsOf = (workshop: Workshop) => {
  const found = plan(workshop, 1, 20);
  if (found) expect(findBrokenRules(workshop, found)).deep.equal([]);
  return found && Array.from(found.starts);
};

describe('a plan of all jobs', () => {
  for (let seed = 0; seed < 12; seed++)
    it(`breaks no rule, is as good as any simple order, and ends after its bound: workshop ${seed}`, () => {
      const workshop = small(seed, seed % 2 ? 0.9 : 0.4);
      const found = plan(workshop)!;
      expect(findBrokenRules(workshop, found)).deep.equal([]);
      const chains = findChains(workshop);
      for (const order of listOrders(workshop, chains)) {
        const lines = new WorkshopLines(workshop);
        expect(placeTasks(lines, chains, order)).equal(null);
        expect(findBrokenRules(workshop, lines)).deep.equal([]);
        expect(computeCost(found)).most(computeCost(measurePlan(workshop, lines)));
      }
      expect(found.finishMin).least(boundFinish(workshop, found.cleanings));
    });

  it('is the same for the same seed', () => expect(plan(small(3))).deep.equal(plan(small(3))));

  it('gets no worse from step to step, and each step could be the last', () => {
    const workshop = small(5, 0.4);
    let last = Infinity;
    for (const { best } of improvePlan(workshop, createSeededRandom(1), 30)) {
      expect(computeCost(best)).most(last);
      expect(findBrokenRules(workshop, best)).deep.equal([]);
      last = computeCost(best);
    }
  });

  it('of nothing is nothing', () => {
    const empty = makePlainWorkshop([], { jobs: [] });
    expect(plan(empty)).deep.include({ lateness: 0, finishMin: 0, handsMin: 0 });
  });

  it('is none where a task is longer than any evening', () =>
    expect(plan(makePlainWorkshop([{ handsMin: 121 }]))).equal(null));
});

describe('the time of a task', () => {
  it('watches to its end by the one who began, while hands do something else', () =>
    expect(startsOf(makePlainWorkshop([{ watchedMin: 90 }, { handsMin: 60 }, { watchedMin: 50 }]))).deep.equal([
      0, 40, 20,
    ]));

  it('waits for the second window where the first is missed', () => {
    const spans = [
      { from: 10, to: 60 },
      { from: 2000, to: Infinity },
    ];
    const first = { handsMin: 110 };
    expect(startsOf(makePlainWorkshop([first, { after: [{ task: 0, spans }] }]))).deep.equal([0, 2880]);
  });

  it('is put off as a whole where what must follow finds no room', () => {
    // The follower takes a whole evening and must begin within a day: the first goes to the evening before a free one.
    const spans = [{ from: 0, to: 1430 }];
    const taken = { handsMin: 115 };
    const starts = startsOf(makePlainWorkshop([{}, { handsMin: 115, after: [{ task: 0, spans }] }, taken, taken]))!;
    const since = starts[1]! - starts[0]! - 20;
    expect(since).within(0, 1429);
  });

  it('follows two by a latest', () => {
    const soon = (task: number) => ({ task, spans: [{ from: 0, to: 3000 }] });
    const starts = startsOf(makePlainWorkshop([{}, { handsMin: 100 }, { after: [soon(0), soon(1)] }]))!;
    expect(starts[2]! - starts[0]! - 20).within(0, 2999);
    expect(starts[2]! - starts[1]! - 100).within(0, 2999);
  });

  it('places two chains together that each wait for a part of the other', () => {
    const soon = (task: number) => ({ task, spans: [{ from: 0, to: 1430 }] });
    const any = (task: number) => ({ task, spans: [{ from: 0, to: Infinity }] });
    const chains = [{}, { after: [soon(0), any(2)] }, { handsMin: 90 }, { after: [soon(2), any(0)] }];
    expect(startsOf(makePlainWorkshop([{ handsMin: 100 }, ...chains.map(moveOn)]))).not.equal(null);

    function moveOn({ after, ...task }: Partial<WorkTask>): Partial<WorkTask> {
      return { ...task, after: (after ?? []).map((link) => ({ ...link, task: link.task + 1 })) };
    }
  });

  it('shares the oven at one temperature only', () => {
    const bake = (setting: number) => ({
      ...{ handsMin: 5, watchedMin: 40 },
      holds: [{ place: 'oven', until: 'watched' as const, setting }],
    });
    const starts = startsOf(makePlainWorkshop([bake(60), bake(80), bake(60)]))!;
    expect(Math.abs(starts[0]! - starts[2]!)).equal(5);
    expect(Math.abs(starts[1]! - starts[0]!)).least(45);
  });

  it('keeps sparks from vapour until that is aired out', () => {
    const starts = startsOf(makePlainWorkshop([{ air: 'vapour', passiveMin: 30 }, { air: 'spark' }]))!;
    const [vapour, spark] = starts as [number, number];
    expect(spark >= vapour + 80 || vapour >= spark + 20).equal(true);
  });
});

describe('the gun', () => {
  it('is cleaned after the last spray of a colour, and not between two that follow each other', () => {
    const sprays = ['red', 'blue', 'red'].map((gun) => ({ gun, handsMin: 10 }));
    const found = plan(makePlainWorkshop(sprays), 1, 30)!;
    expect(findBrokenRules(makePlainWorkshop(sprays), found)).deep.equal([]);
    expect(found).deep.include({ cleanings: 2, handsMin: 50 });
  });

  it('is not left with paint in it over night', () => {
    const apart = [{ gun: 'red' }, { gun: 'red', after: [{ task: 0, spans: [{ from: 1000, to: Infinity }] }] }];
    expect(plan(makePlainWorkshop(apart))).deep.include({ cleanings: 2 });
  });
});

describe('the checker of plans', () => {
  const workshop = small(4);
  const found = plan(workshop)!;
  const broken = (index: number, start: number) =>
    findBrokenRules(workshop, {
      ...found,
      starts: Float64Array.from(found.starts, (s, i) => (i === index ? start : s)),
    });
  const indexOf = (is: (task: WorkTask) => boolean) => workshop.tasks.findIndex(is);

  it('sees whoever is not there, works at two things, or begins before what goes first', () => {
    expect(broken(0, 3).join()).match(/nobody is there/);
    const other = found.starts[indexOf(({ who, id }) => who.includes(found.who[0]!) && id !== workshop.tasks[0]!.id)]!;
    expect(broken(0, other)).not.deep.equal([]);
    const last = workshop.tasks.length - 1;
    expect(broken(last, found.starts[0]!).join()).match(/min after/);
  });

  it('sees post that is not there yet, rain, and a place that is full', () => {
    const post = indexOf(({ notBefore }) => notBefore > 0);
    expect(broken(post, workshop.tasks[post]!.notBefore - 1).join()).match(/its post comes/);
    const blast = indexOf(({ isDry }) => isDry);
    const wet = workshop.dry.find(({ to }, i) => workshop.dry[i + 1] && workshop.dry[i + 1]!.from > to)!.to;
    expect(broken(blast, wet + 600).join()).match(/in the rain/);
    const [a, b] = workshop.tasks.flatMap(({ holds }, i) => (holds.some(({ place }) => place === 'booth') ? [i] : []));
    expect(broken(b!, found.starts[a!]!).join()).match(/in booth|the same gun/);
  });

  it('sees a window that has shut: by hand some do', () => {
    const big = createWorld({ jobs: 30, tasksOfJob: 25, slack: 0.9 }, createSeededRandom(1));
    const hand = planByHand(big);
    expect(hand.broken).greaterThan(0);
    expect(findBrokenRules(big, hand)).lengthOf(hand.broken);
    expect(measurePlan(big, hand).cleanings).greaterThan(0);
  });
});
