import { pickOne, type RandomSource } from '../../../numeric/seededRandom.ts';
import type { Chains } from '../chains.ts';
import { computeTails } from '../computeTails.ts';
import { measureFound, type FoundPlan } from '../foundPlan.ts';
import { computeCost } from '../measurePlan.ts';
import type { Workshop } from '../workshop.ts';
import { compileTasks } from './compileTasks.ts';
import { dispatchPlan } from './dispatchPlan.ts';
import type { DispatchRule } from './dispatchRule.ts';

const DAY_MIN = 1440;
/** A rule may cost up to so much more than the best since the search began (record-to-record travel, Dueck 1993). */
const SLACK = 0.02;
/** After so many rounds that were no better the search begins somewhere else. */
const STALE_ROUNDS = 400;
/** Shares of the rounds in which single tasks, and choices, are varied; promises are in the others. */
const BY_TASK = 0.5;
const BY_CHOICE = 0.15;

/**
 * Plans by dispatching rules, one each round: first by all the usual ones, then by the best of them with promises and choices varied
 * by chance. The search is over what the rule sees (problem space search, Storer 1992); every plan keeps all rules of the workshop.
 * Yields each round's plan, null where the rule leads to none.
 */
export function* searchRules(
  workshop: Workshop,
  chains: Chains,
  random: RandomSource,
  rounds: number,
): Generator<FoundPlan | null, void, undefined> {
  const tasks = compileTasks(workshop, chains, computeTails(workshop, chains));
  const first = listRules(workshop);
  let [now, least]: [DispatchRule, number] = [first[0]!, Infinity];
  let starts: FoundPlan['starts'] = workshop.tasks.map(() => 0);
  let stale = 0;
  for (let round = 0; round < rounds; round++) {
    const isFirst = round < first.length;
    const isNew = !isFirst && stale >= STALE_ROUNDS;
    if (isNew) [least, stale] = [Infinity, 0];
    const rule =
      first[round] ??
      (isNew ? shakeRule(workshop, pickOne(first, random), random) : varyRule(workshop, now, starts, random));
    const plan = dispatchPlan(workshop, chains, tasks, rule);
    const found = plan && measureFound(workshop, plan);
    const cost = found ? computeCost(found) : Infinity;
    const most = isFirst ? least : least * (1 + SLACK * random());
    if (found && cost <= most) [now, starts] = [rule, found.starts];
    stale = cost < least ? 0 : stale + 1;
    least = Math.min(least, cost);
    yield found;
  }
}

/** The most different ones first: few rounds should see some of each kind. */
function listRules({ jobs, tasks }: Workshop): DispatchRule[] {
  const handsOf = jobs.map((_, job) => tasks.reduce((sum, task) => sum + (task.job === job ? task.handsMin : 0), 0));
  // What nobody waits for comes after all that is promised.
  const last = jobs.reduce((most, { dueMin }) => Math.max(most, dueMin ?? 0), 0);
  const dueOf = (job: number) => jobs[job]!.dueMin ?? last;
  const dues = [
    (job: number) => dueOf(job),
    (job: number) => dueOf(job) / jobs[job]!.weight,
    (job: number) => (dueOf(job) + 200 * handsOf[job]!) / Math.sqrt(jobs[job]!.weight),
    (job: number) => (60 * handsOf[job]!) / jobs[job]!.weight,
  ];
  return [4, 1].flatMap((leastRun) =>
    [4, 2, 0.5, 8].flatMap((tailShare) =>
      dues.map((due) => ({
        ...{ due: jobs.map((_, job) => due(job)), tailShare, leastRun },
        ...{ waitMin: 6 * DAY_MIN, hasteMin: DAY_MIN, idleMin: 10, sessionsAhead: 2 },
        ...{ shift: tasks.map(() => 0), putOff: tasks.map(() => 0), leftTo: tasks.map(() => -1) },
      })),
    ),
  );
}

/** Somewhere else altogether. */
function shakeRule({ tasks }: Workshop, rule: DispatchRule, random: RandomSource): DispatchRule {
  const days = pickOne([1, 3, 8, 20], random);
  return {
    ...rule,
    leastRun: 1 + Math.floor(4 * random()),
    due: rule.due.map((due) => due + days * DAY_MIN * (random() - 0.5)),
    shift: tasks.map(() => days * DAY_MIN * (random() - 0.5)),
  };
}

function varyRule(
  workshop: Workshop,
  rule: DispatchRule,
  starts: FoundPlan['starts'],
  random: RandomSource,
): DispatchRule {
  const kind = random();
  if (kind < BY_TASK) return varyTasks(workshop, rule, starts, random);
  if (kind > 1 - BY_CHOICE) return { ...rule, ...pickOne(CHOICES, random)(rule, random) };
  const due = [...rule.due];
  const pick = () => Math.floor(random() * due.length);
  const [a, b] = [pick(), pick()];
  if (random() < 0.5) [due[a], due[b]] = [due[b]!, due[a]!];
  else for (let i = Math.floor(random() * 4); i >= 0; i--) due[pick()]! += (random() - 0.5) * 40 * DAY_MIN * random();
  return { ...rule, due };
}

/** One task, or a few, comes sooner or later, waits, or is left to somebody. */
function varyTasks(
  { tasks }: Workshop,
  rule: DispatchRule,
  starts: FoundPlan['starts'],
  random: RandomSource,
): DispatchRule {
  const [shift, putOff, leftTo] = [[...rule.shift], [...rule.putOff], [...rule.leftTo]];
  for (let i = Math.floor(random() * 3); i >= 0; i--) {
    const task = Math.floor(random() * tasks.length);
    const kind = random();
    if (kind < 0.4) shift[task] = random() < 0.3 ? 0 : shift[task]! + (random() - 0.5) * 20 * DAY_MIN;
    else if (kind < 0.8)
      putOff[task] = putOff[task]! > 0 && random() < 0.6 ? 0 : starts[task]! + 1 + random() ** 2 * 4 * DAY_MIN;
    else leftTo[task] = random() < 0.4 ? -1 : pickOne(tasks[task]!.who, random);
  }
  return { ...rule, shift, putOff, leftTo };
}

const CHOICES: readonly ((rule: DispatchRule, random: RandomSource) => Partial<DispatchRule>)[] = [
  ({ tailShare }, random) => ({ tailShare: Math.max(0, tailShare + 2 * (random() - 0.5)) }),
  (_, random) => ({ leastRun: 1 + Math.floor(5 * random()) }),
  (_, random) => ({ waitMin: 15 * DAY_MIN * random() }),
  (_, random) => ({ hasteMin: 12 * DAY_MIN * random() ** 2 }),
  (_, random) => ({ idleMin: 40 * random() }),
  (_, random) => ({ sessionsAhead: 1 + Math.floor(3 * random()) }),
];
