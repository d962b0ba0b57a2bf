import { findChains } from '../solve/chains.ts';
import { findObstacles, type Obstacle } from '../solve/findObstacles.ts';
import { improvePlan } from '../solve/improvePlan.ts';
import { repairPlan } from '../solve/repairPlan.ts';
import type { EveningsInput, PlannedStart } from './eveningsInput.ts';
import { readPlan, writePlan, type EveningsPlan, type PlannableWorkshop } from './planEvenings.ts';

/** Why a task is no longer where it was. */
export interface MoveReason {
  /** 'past': its time went by and it is not done; 'room': it made room, or others are better off. */
  readonly kind: Obstacle['kind'] | 'past' | 'room';
  /** The task that is in the way, or that it follows; null where none is. */
  readonly taskId: string | null;
}

export interface PlanMove {
  readonly taskId: string;
  readonly from: PlannedStart;
  readonly to: PlannedStart;
  readonly why: MoveReason;
}

export interface Replanned {
  readonly plan: EveningsPlan;
  /** In the order in which they were planned. */
  readonly moves: readonly PlanMove[];
}

/** The plan after something changed: whatever can stays, what cannot moves, and why is said. */
export function replanEvenings(input: EveningsInput, made: PlannableWorkshop, before: EveningsPlan): Replanned {
  const { workshop } = made;
  const had = readPlan(input, made, before);
  const plan = writePlan(input, made, repairPlan(workshop, findChains(workshop), had) ?? planFresh(made));
  return { plan, moves: explainMoves(input, made, before, plan) };
}

function planFresh({ workshop }: PlannableWorkshop) {
  // No round: the best of the first orders.
  const { value } = improvePlan(workshop, () => 0, 0).next();
  if (!value || 'best' in value) throw new RangeError('A workshop in which every task has a place has no plan.');
  return value;
}

/** What moved from one plan to another, and what stands in its old place now. A minute more or less is no move. */
export function explainMoves(
  input: EveningsInput,
  made: PlannableWorkshop,
  before: EveningsPlan,
  after: EveningsPlan,
): PlanMove[] {
  const { workshop, tasks } = made;
  const had = readPlan(input, made, before);
  const now = readPlan(input, made, after);
  const from = new Map(before.starts.map((one) => [one.taskId, one]));
  return tasks
    .flatMap((task, i): PlanMove[] => {
      const start = had.starts[i]!;
      const isMoved = had.who[i] !== now.who[i] || Math.abs(start - now.starts[i]!) >= 1;
      if (Number.isNaN(start) || !isMoved) return [];
      const why = (): MoveReason => {
        if (start < 0) return { kind: 'past', taskId: null };
        const [first] = sortByWeight(findObstacles(workshop, now, i, { start, who: had.who[i]! }));
        if (!first) return { kind: 'room', taskId: null };
        return { kind: first.kind, taskId: first.task === null ? null : tasks[first.task]!.id };
      };
      return [{ taskId: task.id, from: from.get(task.id)!, to: after.starts[i]!, why: why() }];
    })
    .sort((a, b) => a.from.startsAt - b.from.startsAt);
}

/** What comes from outside says more than what other tasks do. */
const WEIGHT: readonly Obstacle['kind'][] = [
  ...(['not theirs', 'nobody there', 'rain', 'post', 'window', 'too late', 'too soon'] as const),
  ...(['place', 'gun', 'air', 'hands'] as const),
];
const sortByWeight = (found: readonly Obstacle[]): Obstacle[] =>
  [...found].sort((a, b) => WEIGHT.indexOf(a.kind) - WEIGHT.indexOf(b.kind));
