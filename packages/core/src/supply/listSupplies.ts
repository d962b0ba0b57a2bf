import type { PlanPart } from '../facts/specimenFacts.ts';
import { SUPPLIES, type Supply } from '../model/supply.ts';
import type { Task } from '../model/task.ts';
import type { ToolKind } from '../model/workshop.ts';

/** One line of what must be in hand. */
export interface SupplyLine {
  readonly what: string;
  readonly kind: 'material' | 'tool' | 'part';
  /** The kind of tool of the workshop that it is; null where that knows none. */
  readonly toolKind: ToolKind | null;
  /** Sum over the tasks; null for a tool and a part. */
  readonly amount: number | null;
  readonly unit: string;
  /** What it is for, in plan order. */
  readonly tasks: readonly { readonly id: string; readonly title: string }[];
  /** Days until it is here when it is ordered today. */
  readonly leadDays: number;
  /** It is asked for before or at the first step that cannot be undone. */
  readonly isNeededFirst: boolean;
}

export type SuppliedTask = Pick<Task, 'id' | 'act' | 'of' | 'title' | 'uses' | 'irreversible'>;

/** Where nobody promised a day (planning estimate). */
const PART_LEAD_DAYS = 14;

/**
 * All that the tasks still to be done take, summed: what the first irreversible steps need first, then what takes longest
 * to come. Parts that are wanted belong to the list with the things they cannot be fitted without.
 *
 * Tasks come in plan order, without those that are done.
 */
export function listSupplies(open: readonly SuppliedTask[], parts: readonly PlanPart[], now: Date): SupplyLine[] {
  const firstCut = open.findIndex((task) => task.irreversible);
  const lines = new Map<Supply, SupplyLine>();
  open.forEach(({ id, title, uses }, place) => {
    for (const { what, amount } of uses) {
      const { kind, toolKind, unit, leadDays } = SUPPLIES[what];
      const before = lines.get(what);
      lines.set(what, {
        ...{ what, kind, toolKind, unit, leadDays },
        amount: kind === 'tool' ? null : (before?.amount ?? 0) + amount,
        tasks: [...(before?.tasks ?? []), { id, title }],
        isNeededFirst: (before?.isNeededFirst ?? false) || (firstCut >= 0 && place <= firstCut),
      });
    }
  });
  return [...listWants(parts, open, now), ...lines.values()].sort(
    (a, b) =>
      Number(b.isNeededFirst) - Number(a.isNeededFirst) || b.leadDays - a.leadDays || a.what.localeCompare(b.what),
  );
}

/** What is wanted is ordered before anything is stripped. */
function listWants(parts: readonly PlanPart[], open: readonly SuppliedTask[], now: Date): SupplyLine[] {
  return parts.flatMap((part) =>
    part.wants.flatMap((want): SupplyLine[] => {
      const task = open.find(({ act, of }) => act === 'get' && of.wantId === want.id);
      if (!task) return [];
      return [
        {
          what: want.dependentBits ? `${want.what} with ${want.dependentBits}` : want.what,
          ...{ kind: 'part', toolKind: null, amount: null, unit: '' },
          tasks: [{ id: task.id, title: `the ${part.name.toLowerCase()}` }],
          leadDays: want.dueOn ? countDays(now, want.dueOn) : PART_LEAD_DAYS,
          isNeededFirst: true,
        },
      ];
    }),
  );
}

const countDays = (from: Date, day: string) =>
  Math.max(0, Math.ceil((Date.parse(`${day}T12:00:00Z`) - from.getTime()) / 86_400_000));
