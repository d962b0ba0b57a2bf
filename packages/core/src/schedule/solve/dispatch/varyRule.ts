import { pickOne, type RandomSource } from '../../../numeric/seededRandom.ts';
import type { Chains } from '../chains.ts';
import type { FoundPlan } from '../foundPlan.ts';
import type { Workshop } from '../workshop.ts';
import type { CompiledTasks } from './compileTasks.ts';
import type { DispatchRule } from './dispatchRule.ts';

/** A rule, and the plan that it leads to. */
export interface TriedRule {
  readonly rule: DispatchRule;
  readonly found: FoundPlan;
}

export interface SearchedWorkshop {
  readonly workshop: Workshop;
  readonly chains: Chains;
  readonly compiled: CompiledTasks;
}

const DAY_MIN = 1440;
/** Shares of the rounds in which single tasks, and choices, are varied; promises are in the others. */
const BY_TASK = 0.8;
const BY_CHOICE = 0.1;
const NEAR_MIN = 4 * DAY_MIN;

/** The same rule, but for a little. */
export function varyRule(searched: SearchedWorkshop, now: TriedRule, random: RandomSource): DispatchRule {
  const { rule } = now;
  const kind = random();
  if (kind < BY_TASK) return varyTasks(searched, now, random);
  if (kind > 1 - BY_CHOICE) return { ...rule, ...pickOne(CHOICES, random)(rule, random) };
  const due = [...rule.due];
  const pick = () => Math.floor(random() * due.length);
  const [a, b] = [pick(), pick()];
  if (random() < 0.5) [due[a], due[b]] = [due[b]!, due[a]!];
  else for (let i = Math.floor(random() * 4); i >= 0; i--) due[pick()]! += (random() - 0.5) * 40 * DAY_MIN * random();
  return { ...rule, due };
}

/** Somewhere else altogether. */
export function shakeRule({ tasks }: Workshop, rule: DispatchRule, random: RandomSource): DispatchRule {
  const days = pickOne([1, 3, 8, 20], random);
  return {
    ...rule,
    ...{ leastRun: 1 + Math.floor(4 * random()), idleMin: 60 * random(), sessionsAhead: Math.floor(3 * random()) },
    due: rule.due.map((due) => due + days * DAY_MIN * (random() - 0.5)),
    shift: tasks.map(() => days * DAY_MIN * (random() - 0.5)),
  };
}

/** Of each job as the one or the other has it; the choices for all of them are the first's or the second's. */
export function mixRules({ tasks }: Workshop, a: DispatchRule, b: DispatchRule, random: RandomSource): DispatchRule {
  const isOfA = a.due.map(() => random() < 0.5);
  const mix = (ofA: readonly number[], ofB: readonly number[]) =>
    tasks.map(({ job }, task) => (isOfA[job] ? ofA[task]! : ofB[task]!));
  return {
    ...(random() < 0.5 ? a : b),
    due: a.due.map((due, job) => (isOfA[job] ? due : b.due[job]!)),
    ...{ shift: mix(a.shift, b.shift), putOff: mix(a.putOff, b.putOff), leftTo: mix(a.leftTo, b.leftTo) },
  };
}

/** A few tasks come in another order, wait, or are left to somebody. */
function varyTasks(searched: SearchedWorkshop, { rule, found }: TriedRule, random: RandomSource): DispatchRule {
  const { tasks } = searched.workshop;
  const { starts } = found;
  const varied = { ...rule, shift: [...rule.shift], putOff: [...rule.putOff], leftTo: [...rule.leftTo] };
  const pick = () => Math.floor(random() * tasks.length);
  for (let i = Math.floor(random() * 3); i >= 0; i--) {
    const task = pick();
    const kind = random();
    if (kind < 0.5) bringForward(searched, varied, starts, [task, pick()], random);
    else if (kind < 0.65)
      varied.shift[task] = random() < 0.3 ? 0 : varied.shift[task]! + (random() - 0.5) * 20 * DAY_MIN;
    else if (kind < 0.85)
      varied.putOff[task] =
        varied.putOff[task]! > 0 && random() < 0.6 ? 0 : starts[task]! + 1 + Math.floor(random() ** 2 * NEAR_MIN);
    else varied.leftTo[task] = random() < 0.4 ? -1 : pickOne(tasks[task]!.who, random);
  }
  return varied;
}

/** The later of two comes before the sooner one, with all that it waits for and that was not done by then. */
function bringForward(
  { workshop: { tasks }, chains, compiled }: SearchedWorkshop,
  rule: DispatchRule & { readonly shift: number[]; readonly putOff: number[] },
  starts: FoundPlan['starts'],
  [a, b]: readonly [number, number],
  random: RandomSource,
): void {
  const [first, second] = starts[a]! < starts[b]! ? [a, b] : [b, a];
  if (starts[second]! - starts[first]! > NEAR_MIN) return;
  const keyOf = (task: number) =>
    rule.due[tasks[task]!.job]! - rule.tailShare * compiled.tails[task]! + rule.shift[task]!;
  const key = keyOf(first) - 1;
  // A colour that is in the gun goes on, whatever is more urgent, unless its spray waits.
  if (tasks[first]!.gun !== null && random() < 0.5) rule.putOff[first] = starts[first]! + tasks[second]!.handsMin;
  const above = new Set([second]);
  for (const one of above) {
    if (one === first) return;
    rule.shift[one]! += Math.min(0, key - keyOf(one));
    for (const before of chains.before[one]!) if (starts[before]! >= starts[first]!) above.add(before);
  }
}

const CHOICES: readonly ((rule: DispatchRule, random: RandomSource) => Partial<DispatchRule>)[] = [
  ({ tailShare }, random) => ({ tailShare: Math.max(0, tailShare + 2 * (random() - 0.5)) }),
  (_, random) => ({ leastRun: 1 + Math.floor(5 * random()) }),
  (_, random) => ({ waitMin: 15 * DAY_MIN * random() }),
  (_, random) => ({ hasteMin: 12 * DAY_MIN * random() ** 2 }),
  (_, random) => ({ idleMin: 40 * random() }),
  (_, random) => ({ sessionsAhead: Math.floor(4 * random()) }),
];
