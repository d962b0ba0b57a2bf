import { runToEnd } from '../packages/core/src/numeric/runToEnd.ts';
import { createSeededRandom } from '../packages/core/src/numeric/seededRandom.ts';
import { boundFinish } from '../packages/core/src/schedule/solve/boundFinish.ts';
import { findChains } from '../packages/core/src/schedule/solve/chains.ts';
import type { FoundPlan } from '../packages/core/src/schedule/solve/foundPlan.ts';
import { improvePlan, USUAL_ROUNDS } from '../packages/core/src/schedule/solve/improvePlan.ts';
import { computeCost, measurePlan } from '../packages/core/src/schedule/solve/measurePlan.ts';
import { placeTasks } from '../packages/core/src/schedule/solve/placeTasks.ts';
import type { Workshop } from '../packages/core/src/schedule/solve/workshop.ts';
import { WorkshopLines } from '../packages/core/src/schedule/solve/workshopLines.ts';
import { findBrokenRules } from '../packages/core/test/support/schedule/findBrokenRules.ts';
import { planByHand } from '../packages/core/test/support/schedule/planByHand.ts';
import { listPriorityOrders } from '../packages/core/test/support/schedule/priorityOrders.ts';
import { createSmallWorld } from '../packages/core/test/support/schedule/smallWorlds.ts';
import { MIP_GAP, solveByMip } from '../packages/core/test/support/schedule/solveByMip.ts';
import { createWorld } from '../packages/core/test/support/schedule/workshopWorlds.ts';
import { median, type Figure, type Topic } from './figure.ts';

/** Workshops that nothing was tuned on. */
const SEEDS = Array.from({ length: 20 }, (_, i) => 500 + i);
const BROKEN_SEEDS = Array.from({ length: 100 }, (_, i) => 1000 + i);
const FEW_ROUNDS = 40;
const SMALL_SEEDS = Array.from({ length: 50 }, (_, i) => 2000 + i);
const SMALL_MS = 3000;
const SMALL_ROUNDS = 25_000;
const PROOF_S = 300;

const createUsual = (seed: number, slack: number) =>
  createWorld({ jobs: 30, tasksOfJob: 25, slack }, createSeededRandom(seed));

function plan(workshop: Workshop, seed: number, rounds: number): FoundPlan {
  const found = runToEnd(improvePlan(workshop, createSeededRandom(seed), rounds));
  if (!found) throw new Error(`No plan for workshop ${seed}`);
  return found;
}

/** Plans of all jobs by a search, against working by hand, simple orders and a bound. docs/decisions/025. */
export const schedule: Topic = {
  names: [
    ...['schedule.broken', 'schedule.latenessVsByHand', 'schedule.byHandBroken', 'schedule.latenessVsRules'],
    ...['schedule.latenessTight', 'schedule.worseThanRules', 'schedule.cleaningsVsByHand', 'schedule.planMs'],
    ...['schedule.finishGap', 'schedule.finishGapOwnCleanings', 'schedule.smallEqualMip', 'schedule.smallWorst'],
  ],
  measure: async () => [measureBroken(), ...measureLateness(), ...measureFinish(), ...(await measureSmall())],
};

function measureBroken(): Figure {
  const broken = BROKEN_SEEDS.reduce((sum, seed) => {
    const workshop = createUsual(seed, seed % 2 ? 0.9 : 0.4);
    return sum + findBrokenRules(workshop, plan(workshop, seed, FEW_ROUNDS)).length;
  }, 0);
  return {
    ...{ name: 'schedule.broken', value: broken, unit: '', goal: { kind: 'at most', value: 0 } },
    yardstick: `rules broken in ${BROKEN_SEEDS.length} workshops of 30 jobs x 25 tasks, by a checker of its own from starts alone`,
  };
}

function measureLateness(): Figure[] {
  const usual = SEEDS.map((seed) => compare(seed, 0.9));
  const tight = SEEDS.map((seed) => compare(seed, 0.4));
  const worse = [...usual, ...tight].filter(({ found, rules }) => found > rules).length;
  const of = (what: (one: ReturnType<typeof compare>) => number, some = usual) => median(some.map(what));
  return [
    {
      ...{ name: 'schedule.latenessVsByHand', value: of(({ found, hand }) => found / hand), unit: '' },
      goal: { kind: 'at most', value: 0.55 },
      yardstick: `weighted lateness over that of the most urgent job's next step, median of ${SEEDS.length} workshops, slack 0.9`,
    },
    {
      ...{ name: 'schedule.byHandBroken', value: of(({ handBroken }) => handBroken), unit: 'windows', goal: null },
      yardstick: 'windows that had shut when they were got round to by hand, median',
    },
    {
      ...{ name: 'schedule.latenessVsRules', value: of(({ found, rules }) => found / rules), unit: '' },
      goal: { kind: 'at most', value: 0.6 },
      yardstick: 'over the best of six priority orders with windows kept',
    },
    {
      ...{ name: 'schedule.latenessTight', value: of(({ found, rules }) => found / rules, tight), unit: '' },
      goal: { kind: 'at most', value: 0.93 },
      yardstick: 'the same, slack 0.4',
    },
    {
      ...{ name: 'schedule.worseThanRules', value: worse, unit: '', goal: { kind: 'at most', value: 0 } },
      yardstick: `of ${usual.length + tight.length} workshops`,
    },
    {
      ...{ name: 'schedule.cleaningsVsByHand', value: of(({ cleanings }) => cleanings), unit: '' },
      goal: { kind: 'at most', value: 0.82 },
      yardstick: 'cleanings of the gun over those by hand, median',
    },
    {
      ...{ name: 'schedule.planMs', value: of(({ ms }) => ms), unit: 'ms', goal: { kind: 'at most', value: 3000 } },
      yardstick: `processor time of ${USUAL_ROUNDS} rounds, median; may be ended after any of them`,
    },
  ];
}

function compare(seed: number, slack: number) {
  const workshop = createUsual(seed, slack);
  const chains = findChains(workshop);
  const byHand = planByHand(workshop);
  const hand = measurePlan(workshop, byHand);
  const rules = Object.values(listPriorityOrders(workshop, chains)).map((order) => {
    const lines = new WorkshopLines(workshop);
    return placeTasks(lines, chains, order) === null ? measurePlan(workshop, lines).lateness : Infinity;
  });
  const before = process.cpuUsage();
  const found = plan(workshop, seed, USUAL_ROUNDS);
  const { user, system } = process.cpuUsage(before);
  return {
    ...{ found: found.lateness, hand: hand.lateness, rules: Math.min(...rules), handBroken: byHand.broken },
    ...{ cleanings: found.cleanings / hand.cleanings, ms: (user + system) / 1000 },
  };
}

function measureFinish(): Figure[] {
  const gaps = SEEDS.slice(0, 8).map((seed) => {
    const world = createUsual(seed, 1);
    const workshop = { ...world, jobs: world.jobs.map((job) => ({ ...job, dueMin: null })) };
    const { finishMin, cleanings } = plan(workshop, seed, USUAL_ROUNDS);
    return { plain: finishMin / boundFinish(workshop) - 1, own: finishMin / boundFinish(workshop, cleanings) - 1 };
  });
  return [
    {
      ...{ name: 'schedule.finishGap', value: median(gaps.map(({ plain }) => plain)), unit: '' },
      goal: { kind: 'at most', value: 0.13 },
      yardstick: 'finish of all over what nobody can beat, nothing promised, median of 8 workshops',
    },
    {
      ...{ name: 'schedule.finishGapOwnCleanings', value: median(gaps.map(({ own }) => own)), unit: '' },
      goal: { kind: 'at most', value: 0.05 },
      yardstick: "the same with the plan's own cleanings in the bound",
    },
  ];
}

async function measureSmall(): Promise<Figure[]> {
  const over: number[] = [];
  for (const seed of SMALL_SEEDS) {
    const workshop = createSmallWorld(createSeededRandom(seed));
    const best = await solveByMip(workshop, PROOF_S);
    // What is not proven in time counts as missed.
    over.push(best === null ? Infinity : computeCost(planFor(workshop, seed, SMALL_MS)) / best - 1);
  }
  const equal = over.filter((share) => share <= MIP_GAP).length;
  return [
    {
      ...{ name: 'schedule.smallEqualMip', value: equal / over.length, unit: '' },
      goal: { kind: 'at least', value: 0.9 },
      yardstick: `of ${over.length} workshops of 3 jobs x 6 tasks, after ${SMALL_MS / 1000} s: as good as the proven best of a mixed-integer program`,
    },
    {
      ...{ name: 'schedule.smallWorst', value: Math.max(...over), unit: '' },
      goal: { kind: 'at most', value: 0.02 },
      yardstick: 'by which the worst of them costs more',
    },
  ];
}

/** As good as it gets in so much processor time. */
function planFor(workshop: Workshop, seed: number, ms: number): FoundPlan {
  const began = process.cpuUsage();
  let found: FoundPlan | null = null;
  for (const { best } of improvePlan(workshop, createSeededRandom(seed), SMALL_ROUNDS)) {
    found = best;
    const { user, system } = process.cpuUsage(began);
    if ((user + system) / 1000 > ms) break;
  }
  if (!found) throw new Error(`No plan for small workshop ${seed}`);
  return found;
}
