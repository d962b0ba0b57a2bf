import { runToEnd } from '../packages/core/src/numeric/runToEnd.ts';
import { createSeededRandom } from '../packages/core/src/numeric/seededRandom.ts';
import { findChains } from '../packages/core/src/schedule/solve/chains.ts';
import { improvePlan, USUAL_ROUNDS } from '../packages/core/src/schedule/solve/improvePlan.ts';
import { repairPlan } from '../packages/core/src/schedule/solve/repairPlan.ts';
import type { WorkPlan, Workshop } from '../packages/core/src/schedule/solve/workshop.ts';
import { findBrokenRules } from '../packages/core/test/support/schedule/findBrokenRules.ts';
import { createWorld } from '../packages/core/test/support/schedule/workshopWorlds.ts';
import { median, type Topic } from './figure.ts';

/** Workshops that nothing was tuned on. */
const SEEDS = Array.from({ length: 20 }, (_, i) => 700 + i);
const ROUNDS = 60;
const DAY = 1440;
const WEEK = 7 * DAY;
const WAIT_MS = 3000;

/** A plan after rain, late post, an illness, and after what touches nothing that is open. docs/decisions/025. */
export const replan: Topic = {
  names: [
    'schedule.replanFirstMs',
    'schedule.replanMoved',
    'schedule.replanMovedMost',
    'schedule.replanBroken',
    'schedule.replanVsFresh',
  ],
  measure: () => {
    const all = SEEDS.map(measureOne);
    const touched = all.flatMap(({ rain, post, ill }) => [rain, post, ill]);
    return Promise.resolve([
      {
        ...{ name: 'schedule.replanFirstMs', value: median(touched.map(({ ms }) => ms)), unit: 'ms' },
        goal: { kind: 'at most', value: 50 },
        yardstick: `processor time of a valid plan after rain, late post or an illness, median of ${touched.length}; 30 jobs x 25 tasks`,
      },
      {
        ...{ name: 'schedule.replanMoved', value: Math.max(...all.map(({ none }) => none.moved)), unit: 'tasks' },
        goal: { kind: 'at most', value: 0 },
        yardstick: 'moved in the next seven days by a change that touches no open task, most of 20 workshops',
      },
      {
        ...{
          name: 'schedule.replanMovedMost',
          value: median(touched.map(({ moved }) => moved)),
          unit: 'tasks',
          goal: null,
        },
        yardstick: 'the same by rain, late post or an illness, median',
      },
      {
        ...{ name: 'schedule.replanBroken', value: touched.reduce((sum, { broken }) => sum + broken, 0), unit: '' },
        goal: { kind: 'at most', value: 0 },
        yardstick: 'rules broken in these plans, by the checker of its own',
      },
      {
        ...{ name: 'schedule.replanVsFresh', value: median(SEEDS.slice(0, 6).map(compareFresh)), unit: '' },
        goal: { kind: 'at most', value: 1 },
        yardstick: `weighted lateness ${WAIT_MS / 1000} s of processor time after somebody fell ill, over a plan from scratch in as long, median of 6`,
      },
    ]);
  },
};

function measureOne(seed: number) {
  const random = createSeededRandom(seed);
  const workshop = createWorld({ jobs: 30, tasksOfJob: 25, slack: 0.9 }, random);
  const before = plan(workshop, seed, ROUNDS);
  const { tasks } = workshop;
  const soon = tasks.map((_, i) => i).filter((i) => before.starts[i]! < WEEK);
  const late = soon[Math.floor(random() * soon.length)]!;
  const dry = workshop.dry.flatMap(({ from, to }) => (to <= 3 * DAY ? [] : [{ from: Math.max(from, 3 * DAY), to }]));
  return {
    rain: change({ ...workshop, dry }, before),
    post: change(
      {
        ...workshop,
        tasks: tasks.map((task, i) => (i === late ? { ...task, notBefore: before.starts[i]! + 10 * DAY } : task)),
      },
      before,
    ),
    ill: change(
      dropSessions(workshop, (i) => i < 2, 0),
      before,
    ),
    none: change(
      dropSessions(workshop, (i) => i >= workshop.restorers[0]!.sessions.length - 2, 0),
      before,
    ),
  };
}

const plan = (workshop: Workshop, seed: number, rounds: number): WorkPlan =>
  runToEnd(improvePlan(workshop, createSeededRandom(seed), rounds))!;

/** The first restorer is ill for two sessions: searched from the plan that stood, over searched anew. */
function compareFresh(seed: number): number {
  const workshop = createWorld({ jobs: 30, tasksOfJob: 25, slack: 0.9 }, createSeededRandom(seed));
  const before = plan(workshop, seed, 400);
  const ill = dropSessions(workshop, (i) => i < 2, 0);
  return latenessAfter(ill, seed, before) / latenessAfter(ill, seed, null);
}

function latenessAfter(workshop: Workshop, seed: number, present: WorkPlan | null): number {
  const began = process.cpuUsage();
  const search = improvePlan(workshop, createSeededRandom(seed), USUAL_ROUNDS, present);
  for (;;) {
    const { done, value } = search.next();
    if (done) return value!.lateness;
    const { user, system } = process.cpuUsage(began);
    if ((user + system) / 1000 > WAIT_MS) return value.best.lateness;
  }
}

const dropSessions = (workshop: Workshop, isOut: (i: number) => boolean, who: number): Workshop => ({
  ...workshop,
  restorers: workshop.restorers.map((one, i) =>
    i === who ? { ...one, sessions: one.sessions.filter((_, at) => !isOut(at)) } : one,
  ),
});

function change(workshop: Workshop, before: WorkPlan) {
  const began = process.cpuUsage();
  const chains = findChains(workshop);
  const after = repairPlan(workshop, chains, before);
  const { user, system } = process.cpuUsage(began);
  if (!after) throw new Error('A change left no plan.');
  const moved = workshop.tasks.filter(
    (_, i) => before.starts[i]! < WEEK && after.starts[i] !== before.starts[i],
  ).length;
  return { ms: (user + system) / 1000, moved, broken: findBrokenRules(workshop, after).length };
}
