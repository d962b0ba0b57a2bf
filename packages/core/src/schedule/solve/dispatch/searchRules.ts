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
/** A rule may cost so much more than the best at the beginning, and less and less of that (record-to-record travel, Dueck 1993). */
const SLACK = 0.02;

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
  for (let round = 0; round < rounds; round++) {
    const rule = first[round] ?? varyRule(now, random);
    const plan = dispatchPlan(workshop, chains, tasks, rule);
    const found = plan && measureFound(workshop, plan);
    const cost = found ? computeCost(found) : Infinity;
    const most = round < first.length ? least : least * (1 + SLACK * (1 - round / rounds) * random());
    if (cost <= most) now = rule;
    least = Math.min(least, cost);
    yield found;
  }
}

/** The most different ones first: few rounds should see some of each kind. */
function listRules({ jobs, tasks }: Workshop): DispatchRule[] {
  const handsOf = jobs.map((_, job) => tasks.reduce((sum, task) => sum + (task.job === job ? task.handsMin : 0), 0));
  // Nothing promised is promised after all that is.
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
      })),
    ),
  );
}

function varyRule(rule: DispatchRule, random: RandomSource): DispatchRule {
  const kind = random();
  if (kind < 0.7) {
    const due = [...rule.due];
    const pick = () => Math.floor(random() * due.length);
    const [a, b] = [pick(), pick()];
    if (kind < 0.4) [due[a], due[b]] = [due[b]!, due[a]!];
    else for (let i = Math.floor(random() * 4); i >= 0; i--) due[pick()]! += (random() - 0.5) * 40 * DAY_MIN * random();
    return { ...rule, due };
  }
  return { ...rule, ...pickOne(CHOICES, random)(rule, random) };
}

const CHOICES: readonly ((rule: DispatchRule, random: RandomSource) => Partial<DispatchRule>)[] = [
  ({ tailShare }, random) => ({ tailShare: Math.max(0, tailShare + 2 * (random() - 0.5)) }),
  (_, random) => ({ leastRun: 1 + Math.floor(5 * random()) }),
  (_, random) => ({ waitMin: 15 * DAY_MIN * random() }),
  (_, random) => ({ hasteMin: 12 * DAY_MIN * random() ** 2 }),
  (_, random) => ({ idleMin: 40 * random() }),
  (_, random) => ({ sessionsAhead: 1 + Math.floor(3 * random()) }),
];
