import type { CompiledPlan, PlannedTask, PlanPart } from '../compile/planTypes.ts';
import { SUPPLIES, type Supply } from './supplies.ts';

/** One line of what must be in hand. */
export interface SupplyLine {
  readonly what: string;
  readonly kind: 'material' | 'tool' | 'part';
  /** Sum over the plan; null for a tool and a part. */
  readonly amount: number | null;
  readonly unit: string;
  /** Titles of what it is for, in plan order. */
  readonly taskTitles: readonly string[];
  /** Days until it is here when it is ordered today. */
  readonly leadDays: number;
  /** It is asked for before or at the first step that cannot be undone. */
  readonly isNeededFirst: boolean;
}

/** Where nobody promised a day (planning estimate). */
const PART_LEAD_DAYS = 14;

/**
 * All that the tasks still to be done take, summed: what the first irreversible steps need first, then what takes longest
 * to come. Parts that are wanted belong to the list with the things they cannot be fitted without.
 */
export function listSupplies(
  plan: Extract<CompiledPlan, { kind: 'plan' }>,
  parts: readonly PlanPart[],
  isDone: (taskKey: string) => boolean,
  now: Date,
): SupplyLine[] {
  const open = plan.tasks.filter((task) => !isDone(task.key));
  const firstCut = open.findIndex((task) => (task.cannotBeUndone ?? '') !== '');
  const lines = new Map<Supply, SupplyLine>();
  open.forEach((task, place) => {
    for (const { what, amount } of task.uses ?? []) {
      const { kind, unit, leadDays } = SUPPLIES[what];
      const before = lines.get(what);
      lines.set(what, {
        ...{ what, kind, unit, leadDays },
        amount: kind === 'tool' ? null : (before?.amount ?? 0) + amount,
        taskTitles: [...(before?.taskTitles ?? []), task.title],
        isNeededFirst: (before?.isNeededFirst ?? false) || (firstCut >= 0 && place <= firstCut),
      });
    }
  });
  return [...listWants(parts, open, now), ...lines.values()].sort(
    (a, b) =>
      Number(b.isNeededFirst) - Number(a.isNeededFirst) || b.leadDays - a.leadDays || a.what.localeCompare(b.what),
  );
}

/** O2: what is wanted is ordered before anything is stripped. */
function listWants(parts: readonly PlanPart[], open: readonly PlannedTask[], now: Date): SupplyLine[] {
  return parts.flatMap((part) =>
    part.wants
      .filter((want) => open.some((task) => task.key === `get:${want.id}`))
      .map((want) => ({
        what: want.dependentBits ? `${want.what} with ${want.dependentBits}` : want.what,
        kind: 'part' as const,
        amount: null,
        unit: '',
        taskTitles: [`the ${part.name.toLowerCase()}`],
        leadDays: want.dueOn ? countDays(now, want.dueOn) : PART_LEAD_DAYS,
        isNeededFirst: true,
      })),
  );
}

const countDays = (from: Date, day: string) =>
  Math.max(0, Math.ceil((Date.parse(`${day}T12:00:00Z`) - from.getTime()) / 86_400_000));
