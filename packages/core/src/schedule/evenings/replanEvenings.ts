import { runToEnd } from '../../numeric/runToEnd.ts';
import { createSeededRandom } from '../../numeric/seededRandom.ts';
import { findChains } from '../solve/chains.ts';
import { findObstacles, OBSTACLES, type Obstacle } from '../solve/findObstacles.ts';
import { improvePlan } from '../solve/improvePlan.ts';
import { repairPlan } from '../solve/repairPlan.ts';
import type { Workshop } from '../solve/workshop.ts';
import type { EveningsInput, PlannedStart } from './eveningsInput.ts';
import { readPlan, writePlan, type EveningsPlan, type PlannableWorkshop } from './planEvenings.ts';

/** 'past': its time went by and it is not done; 'room': it made room, or others are better off. */
export const MOVE_REASONS = [...OBSTACLES, 'past', 'room'] as const;

/** Why a task is no longer where it was. */
export interface MoveReason {
  readonly kind: (typeof MOVE_REASONS)[number];
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
  const isNew = before.starts.length === 0;
  const repaired = isNew ? null : repairPlan(workshop, findChains(workshop), had);
  const plan = writePlan(input, made, repaired ?? planFresh(made));
  return { plan, moves: explainMoves(input, made, before, plan) };
}

/** A few rounds: the first plan comes at once, and is none that the first search turns upside down. */
function planFresh({ workshop }: PlannableWorkshop) {
  const plan = runToEnd(improvePlan(workshop, createSeededRandom(1), FIRST_ROUNDS));
  if (!plan) throw new RangeError('A workshop in which every task has a place has no plan.');
  return plan;
}

const FIRST_ROUNDS = 60;

/**
 * What moved to another evening or other hands from one plan to another, and what stands in its old place now. Earlier or later in
 * the same session is no move, and what is in hand goes on.
 */
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
      const isSame = had.who[i] === now.who[i] && isOneSession(workshop, had.who[i]!, start, now.starts[i]!);
      if (Number.isNaN(start) || isSame || task.isUnderWay) return [];
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

/** One that is under way began before the plan did. */
function isOneSession({ restorers }: Workshop, who: number, a: number, b: number): boolean {
  const sessions = restorers[who]?.sessions ?? [];
  const at = (moment: number) => sessions.findIndex(({ from, to }) => (moment >= from || from === 0) && moment < to);
  return at(a) >= 0 && at(a) === at(b);
}

const sortByWeight = (found: readonly Obstacle[]): Obstacle[] =>
  [...found].sort((a, b) => OBSTACLES.indexOf(a.kind) - OBSTACLES.indexOf(b.kind));
