import { expect } from 'chai';
import { createEvenings, EVENING_NOW, EVENING_TASK, EVENINGS } from '../../../test/support/schedule/eveningsWorlds.ts';
import { findBrokenRules } from '../../../test/support/schedule/findBrokenRules.ts';
import type { Timer } from '../../model/work.ts';
import { runToEnd } from '../../numeric/runToEnd.ts';
import { createSeededRandom } from '../../numeric/seededRandom.ts';
import { findChains } from '../solve/chains.ts';
import { findObstacles } from '../solve/findObstacles.ts';
import { repairPlan } from '../solve/repairPlan.ts';
import { answerDay } from './answerDay.ts';
import { findDeciding } from './findDeciding.ts';
import { listAirOfClocks } from './listAirOfClocks.ts';
import { moveTask } from './moveTask.ts';
import type { EveningsInput } from './eveningsInput.ts';
import { listRuns } from './listRuns.ts';
import { findPlannable, planEvenings, readPlan, type EveningsPlan } from './planEvenings.ts';
import { replanEvenings } from './replanEvenings.ts';
import { reportEvenings } from './reportEvenings.ts';

const seeds = Array.from({ length: 40 }, (_, i) => i + 1);
const manySeeds = Array.from({ length: 200 }, (_, i) => i + 1);
const HOUR = 3_600_000;

const plan = (input: EveningsInput, rounds = 15): EveningsPlan =>
  runToEnd(planEvenings(input, findPlannable(input), createSeededRandom(7), rounds));

const startOf = (made: EveningsPlan, taskId: string) =>
  new Date(made.starts.find((one) => one.taskId === taskId)!.startsAt).toISOString();

describe('evenings', () => {
  for (const seed of manySeeds)
    it(`plans whatever is open, breaks nothing but what it says: world ${seed}`, () => {
      const input = createEvenings(createSeededRandom(seed));
      const made = findPlannable(input);
      const own = plan(input);
      const { starts, who } = readPlan(input, made, own);
      expect(starts).lengthOf(made.tasks.length);
      expect(made.tasks.length + made.leftOut.length).equal(input.tasks.length);
      const broken = findBrokenRules(made.strict, { starts, who });
      const isSaid = (line: string) => own.late.some((id) => line.startsWith(`${id}: `));
      expect(broken.filter((line) => !isSaid(line))).deep.equal([]);
      for (const id of own.late) expect(broken.some((line) => line.startsWith(`${id}: `))).equal(true);
      // Every step stands in an evening, once, and nothing else does.
      const steps = listRuns(input, made, own, Infinity).flatMap((run) => run.steps);
      expect(steps.map(({ taskId }) => taskId).sort()).deep.equal(made.tasks.map(({ id }) => id).sort());
    });

  it('plans the same evenings the same way again', () => {
    for (const seed of seeds.slice(0, 10)) {
      const input = createEvenings(createSeededRandom(seed));
      expect(plan(input)).deep.equal(plan(structuredClone(input)));
    }
  });

  for (const seed of seeds)
    it(`says what is in the way exactly where a rule would break: world ${seed}`, () => {
      const random = createSeededRandom(1000 + seed);
      const input = createEvenings(random);
      const made = findPlannable(input);
      const found = readPlan(input, made, plan(input, 3));
      const { workshop, tasks } = made;
      if (tasks.length === 0) return;
      for (let i = 0; i < 25; i++) {
        const index = Math.floor(random() * tasks.length);
        const sessions = workshop.restorers.flatMap((one, who) =>
          one.sessions.slice(0, 6).map((span) => ({ ...span, who })),
        );
        const session = sessions[Math.floor(random() * sessions.length)]!;
        const at = { start: Math.round(session.from + random() * (session.to - session.from)), who: session.who };
        const moved = { starts: [...Array.from(found.starts)], who: [...Array.from(found.who)] };
        [moved.starts[index], moved.who[index]] = [at.start, at.who];
        // What follows moves along: it is not asked.
        const own = tasks[index]!.id;
        const follows = findChains(workshop).after[index]!.map((one) => tasks[one]!.id);
        const broken = findBrokenRules(workshop, moved).filter(
          (line) => !follows.some((id) => line.startsWith(`${id}: `) && line.endsWith(`after ${own}`)),
        );
        const obstacles = findObstacles(workshop, found, index, at);
        if (obstacles.length > 0) expect(broken, `${own} ${JSON.stringify(obstacles)}`).not.deep.equal([]);
        // Another one's gun may want cleaning once this one has gone from beside it.
        else if (workshop.tasks[index]!.gun === null) expect(broken, own).deep.equal([]);
      }
    });

  for (const seed of seeds.slice(0, 20))
    it(`keeps a plan as it is where nothing changed, and moves little where it rains: world ${seed}`, () => {
      const input = createEvenings(createSeededRandom(2000 + seed));
      const made = findPlannable(input);
      const before = readPlan(input, made, plan(input, 5));
      const same = repairPlan(made.workshop, findChains(made.workshop), before)!;
      expect(Array.from(same.starts)).deep.equal(Array.from(before.starts));
      expect(Array.from(same.who)).deep.equal(Array.from(before.who));
      const rainy = {
        ...input,
        weather: [
          { on: '2026-11-25', isDry: false },
          { on: '2026-11-30', isDry: false },
        ],
      };
      const wet = findPlannable(rainy);
      const after = repairPlan(wet.workshop, findChains(wet.workshop), before);
      if (!after || wet.tasks.length !== made.tasks.length) return;
      expect(findBrokenRules(wet.workshop, after)).deep.equal([]);
      const moved = wet.tasks.filter((_, i) => after.starts[i] !== before.starts[i]);
      const wetDays = (i: number) =>
        findObstacles(wet.workshop, before, i, { start: before.starts[i]!, who: before.who[i]! }).length > 0;
      const cause = wet.tasks.some((_, i) => wetDays(i));
      if (!cause) expect(moved).deep.equal([]);
    });

  for (const seed of seeds)
    it(`stays as it is when it is kept and read again a little later: world ${seed}`, () => {
      const input = createEvenings(createSeededRandom(3000 + seed));
      const kept = JSON.parse(JSON.stringify(plan(input, 8))) as EveningsPlan;
      // Not over a minute's end: then what should begin at once begins a minute later.
      const later = { ...input, now: input.now + 700 };
      const made = findPlannable(later);
      const { plan: again, moves } = replanEvenings(later, made, kept);
      expect(again).deep.equal(kept);
      expect(moves).deep.equal([]);
    });

  for (const seed of seeds.slice(0, 10))
    it(`is never searched to a worse one than the present: world ${seed}`, () => {
      const input = createEvenings(createSeededRandom(4000 + seed));
      const made = findPlannable(input);
      const present = plan(input, 30);
      const search = planEvenings(input, made, createSeededRandom(9), 2, present);
      let step = search.next();
      while (!step.done) step = search.next();
      const costOf = (one: EveningsPlan) => reportEvenings(input, made, one).cost;
      expect(costOf(step.value)).at.most(costOf(present) + 1e-9);
    });

  it('says of a coat whose window shuts before anybody comes that it is late, and plans the rest', () => {
    const windows = [{ from: EVENING_NOW - HOUR, to: EVENING_NOW + HOUR }];
    const tasks = [
      { ...EVENING_TASK, id: 'coat', kind: 'spraying' as const, gun: 'cream', inBooth: true, windows },
      { ...EVENING_TASK, id: 'next', after: [{ taskId: 'coat', waitMin: 60, latestMin: null }] },
    ];
    const own = plan({ ...EVENINGS, tasks });
    expect(own.late).deep.equal(['coat']);
    expect(startOf(own, 'coat')).equal('2026-11-28T09:00:00.000Z');
    expect(startOf(own, 'next')).equal('2026-11-28T10:10:00.000Z');
  });

  it('leaves out what can have no place, with all that hangs on it, and says why', () => {
    const tasks = [
      { ...EVENING_TASK, id: 'long', watchedMin: 300 },
      { ...EVENING_TASK, id: 'after it', after: [{ taskId: 'long', waitMin: 0, latestMin: null }] },
      { ...EVENING_TASK, id: 'cold', windows: null },
      { ...EVENING_TASK, id: 'bake', inOven: true },
      { ...EVENING_TASK, id: 'fine' },
    ];
    const { leftOut } = findPlannable({ ...EVENINGS, tasks, ovenRoom: 0 });
    expect(leftOut.map(({ task, because }) => [task.id, because])).deep.equal([
      ['long', 'no session is long enough'],
      ['after it', 'what goes before'],
      ['cold', 'never dries here'],
      ['bake', 'no oven'],
    ]);
    const nobody = findPlannable({ ...EVENINGS, tasks, restorers: [] });
    expect(new Set(nobody.leftOut.map(({ because }) => because))).deep.equal(new Set(['nobody does it']));
    const idle = EVENINGS.restorers.map((one) => ({ ...one, sessions: [] }));
    const free = [...tasks, { ...EVENING_TASK, id: 'nothing', handsOnMin: 0 }];
    const never = findPlannable({ ...EVENINGS, tasks: free, restorers: idle });
    expect(new Set(never.leftOut.map(({ because }) => because))).deep.equal(new Set(['nobody does it']));
  });

  it('lets somebody fall ill: the session goes, and what was theirs alone waits', () => {
    const tasks = [{ ...EVENING_TASK, id: 'spray', kind: 'spraying' as const, gun: 'cream', inBooth: true }];
    expect(startOf(plan({ ...EVENINGS, tasks }), 'spray')).equal('2026-11-28T09:00:00.000Z');
    const ill = EVENINGS.restorers.map((one) =>
      one.id === 'two' ? { ...one, exceptions: [{ on: '2026-11-28', startHour: 9, minutes: 0, note: 'ill' }] } : one,
    );
    expect(startOf(plan({ ...EVENINGS, tasks, restorers: ill }), 'spray')).equal('2026-12-01T19:00:00.000Z');
  });

  it('keeps what somebody put where it is, and says so where that cannot hold', () => {
    const tasks = [
      { ...EVENING_TASK, id: 'a1' },
      { ...EVENING_TASK, id: 'b1', handsOnMin: 20 },
    ];
    const pin = (iso: string, restorerId: string) => [{ taskId: 'a1', startsAt: Date.parse(iso), restorerId }];
    const own = plan({ ...EVENINGS, tasks, pins: pin('2026-12-02T19:00:00Z', 'one') });
    expect(own.late).deep.equal([]);
    expect([startOf(own, 'a1'), startOf(own, 'b1')]).deep.equal([
      '2026-12-02T19:00:00.000Z',
      '2026-11-25T18:30:00.000Z',
    ]);
    // Nobody is there then.
    const off = plan({ ...EVENINGS, tasks, pins: pin('2026-12-03T19:00:00Z', 'one') });
    expect(startOf(off, 'a1')).not.equal('2026-12-03T19:00:00.000Z');
  });

  it('says why each task moved: rain, illness, late post, what it follows, time gone by', () => {
    const tasks = [
      { ...EVENING_TASK, id: 'blast', isDry: true, kind: 'metal work' as const },
      { ...EVENING_TASK, id: 'wash', after: [{ taskId: 'blast', waitMin: 0, latestMin: null }] },
      { ...EVENING_TASK, id: 'axle' },
      { ...EVENING_TASK, id: 'spray', kind: 'spraying' as const, gun: 'cream', inBooth: true },
    ];
    const input = { ...EVENINGS, tasks };
    const before = plan(input);
    const why = (changed: EveningsInput) =>
      replanEvenings(changed, findPlannable(changed), before).moves.map(({ taskId, why }) => [
        taskId,
        why.kind,
        why.taskId,
      ]);
    expect(why(input)).deep.equal([]);
    expect(why({ ...input, weather: [{ on: '2026-11-25', isDry: false }] })).deep.equal([
      ['blast', 'rain', null],
      ['wash', 'too soon', 'blast'],
    ]);
    const ill = EVENINGS.restorers.map((one) => ({
      ...one,
      exceptions: one.id === 'two' ? [{ on: '2026-11-28', startHour: 0, minutes: 0, note: 'ill' }] : [],
    }));
    expect(why({ ...input, restorers: ill })).deep.equal([['spray', 'nobody there', null]]);
    const post = tasks.map((task) => (task.id === 'axle' ? { ...task, arrivesAt: EVENING_NOW + 100 * HOUR } : task));
    expect(why({ ...input, tasks: post })).deep.equal([['axle', 'post', null]]);
    const later = { ...input, now: EVENING_NOW + 24 * HOUR };
    expect(why(later).map(([id, kind]) => [id, kind])).deep.equal([
      ['blast', 'past'],
      ['wash', 'past'],
      ['axle', 'past'],
    ]);
    // A quarter of an hour late is no move, and what is in hand is not late.
    expect(why({ ...input, now: EVENING_NOW + HOUR / 4 })).deep.equal([]);
    const inHand = tasks.map((task) => (task.id === 'axle' ? { ...task, isUnderWay: true } : task));
    expect(why({ ...later, tasks: inHand }).map(([id]) => id)).deep.equal(['blast', 'wash']);
  });

  it('makes no spark while a clock keeps vapour in the room, nor before it is aired', () => {
    const tasks = [{ ...EVENING_TASK, id: 'grind', air: 'spark' as const }];
    const inRoom = [{ air: 'vapour' as const, until: EVENING_NOW + 20 * 60_000 }];
    expect(startOf(plan({ ...EVENINGS, tasks, inRoom }), 'grind')).equal('2026-11-25T19:20:00.000Z');
  });

  it('finds the evenings that decide a day: those that cannot be lost', () => {
    const jobs = [{ id: 'a', number: 'A', dueOn: '2026-12-02' }];
    // An hour and a half on the 25th or the 30th, and after a night the same on the 30th or the 2nd; somebody else has no hours.
    const tasks = [
      { ...EVENING_TASK, id: 'a1', handsOnMin: 90, passiveMin: 1440 },
      { ...EVENING_TASK, id: 'a2', handsOnMin: 90, after: [{ taskId: 'a1', waitMin: 1440, latestMin: null }] },
    ];
    const [one] = EVENINGS.restorers;
    const decide = (dueOn: string) => {
      const input = { ...EVENINGS, restorers: [one!], jobs: [{ ...jobs[0]!, dueOn }], tasks };
      const made = findPlannable(input);
      const search = findDeciding(input, made, plan(input), dueOn);
      let step = search.next();
      while (!step.done) step = search.next();
      return step.value;
    };
    expect(decide('2026-12-02')).deep.equal([]);
    expect(decide('2026-12-01')).deep.equal([
      { on: '2026-11-25', late: ['a'] },
      { on: '2026-11-30', late: ['a'] },
    ]);
  });

  it('reports when each job is ready by the plan, and how far behind its day', () => {
    const jobs = [
      { id: 'a', number: 'A', dueOn: '2026-11-25' },
      { id: 'b', number: 'B', dueOn: '2026-11-26' },
      { id: 'c', number: 'C', dueOn: null },
    ];
    const tasks = [
      { ...EVENING_TASK, id: 'a1', jobId: 'a' },
      { ...EVENING_TASK, id: 'b1', jobId: 'b', passiveMin: 3 * 1440 },
      { ...EVENING_TASK, id: 'c1', jobId: 'c', windows: null },
    ];
    const input = { ...EVENINGS, jobs, tasks };
    const made = findPlannable(input);
    const report = reportEvenings(input, made, plan(input));
    const [a, b, c] = report.jobs;
    expect(a).deep.include({ lateMin: 0, dueAt: Date.parse('2026-11-26T00:00:00Z') });
    // On the bench at 18:40 or 18:50 on the 25th, dry three days later.
    expect(b!.lateMin).equal((b!.readyAt! - Date.parse('2026-11-27T00:00:00Z')) / 60_000);
    expect(b!.readyAt! - EVENING_NOW).within(3 * 24 * HOUR, 3 * 24 * HOUR + HOUR);
    expect(c).deep.equal({ jobId: 'c', readyAt: null, dueAt: null, lateMin: 0 });
    expect(report.days).deep.equal([
      { on: '2026-11-25', ready: ['a'], cannot: ['b'], most: 2 },
      { on: '2026-11-26', ready: ['a'], cannot: ['b'], most: 2 },
    ]);
    expect(report.runs[0]!.steps.find(({ taskId }) => taskId === 'b1')!.runsOn).equal(true);
  });

  it('puts a task where somebody wants it: what is in its way gives way, what cannot be is refused with the reason', () => {
    const tasks = [
      { ...EVENING_TASK, id: 'a1', handsOnMin: 30 },
      { ...EVENING_TASK, id: 'a2', handsOnMin: 30, after: [{ taskId: 'a1', waitMin: 0, latestMin: null }] },
      { ...EVENING_TASK, id: 'b1', handsOnMin: 20, kind: 'spraying' as const, gun: 'cream', inBooth: true },
    ];
    const input = { ...EVENINGS, tasks };
    const made = findPlannable(input);
    const before = plan(input);
    const move = (taskId: string, iso: string, restorerId: string) =>
      moveTask(input, made, before, { taskId, restorerId, startsAt: Date.parse(iso) });
    const swapped = move('a1', '2026-11-25T19:00:00Z', 'one');
    expect(swapped.kind).equal('moved');
    if (swapped.kind === 'moved')
      expect(['a1', 'a2'].map((id) => startOf(swapped.plan, id))).deep.equal([
        '2026-11-25T19:00:00.000Z',
        '2026-11-25T19:30:00.000Z',
      ]);
    expect(move('a2', '2026-11-25T18:30:00Z', 'one')).deep.equal({
      kind: 'refused',
      because: [{ kind: 'too soon', taskId: 'a1' }],
    });
    expect(move('b1', '2026-11-25T19:30:00Z', 'one')).deep.include({ kind: 'refused' });
    expect(move('a1', '2026-11-27T19:30:00Z', 'two')).deep.equal({
      kind: 'refused',
      because: [{ kind: 'nobody there', taskId: null }],
    });
  });

  it('reads from clocks what is in the room: vapour to its end, airing only what it airs out', () => {
    const clock = (kind: Timer['kind'], minutes: number, acknowledgedAt: string | null = null) => ({
      ...{ kind, acknowledgedAt, endsAt: new Date(EVENING_NOW + minutes * 60_000).toISOString() },
    });
    const clocks = [clock('flash', 20), clock('heat', 10), clock('cure', 50), clock('airing', 20), clock('soak', -5)];
    expect(listAirOfClocks([...clocks, clock('bath', 30, 'x')], EVENING_NOW)).deep.equal([
      { air: 'vapour', until: EVENING_NOW + 20 * 60_000 },
      { air: 'spark', until: EVENING_NOW + 10 * 60_000 },
      { air: 'vapour', until: EVENING_NOW - 10 * 60_000 },
      { air: 'vapour', until: EVENING_NOW },
    ]);
  });

  it('answers a day: what is ready, what cannot be, and how many can be at the most', () => {
    const jobs = ['a', 'b', 'c'].map((id) => ({ id, number: id, dueOn: '2026-11-28' }));
    const tasks = [
      { ...EVENING_TASK, id: 'a1', jobId: 'a', handsOnMin: 60 },
      { ...EVENING_TASK, id: 'b1', jobId: 'b', handsOnMin: 30, passiveMin: 6000 },
      { ...EVENING_TASK, id: 'c1', jobId: 'c', handsOnMin: 90 },
    ];
    const input = { ...EVENINGS, jobs, tasks };
    const made = findPlannable(input);
    const by = (EVENING_NOW + 20 * HOUR - made.begin) / 60_000;
    // 120 minutes of hands on Wednesday: one of a and c only, and b dries for four days.
    expect(answerDay(made.workshop, readPlan(input, made, plan(input)), by)).deep.include({ cannot: [1], most: 1 });
    expect(answerDay(made.workshop, readPlan(input, made, plan(input)), by).ready).lengthOf(1);
    expect(answerDay(made.workshop, readPlan(input, made, plan(input)), 30_000)).deep.equal({
      ready: [0, 1, 2],
      cannot: [],
      most: 3,
    });
  });
});
