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

export type SuppliedTask = Pick<
  Task,
  'id' | 'act' | 'of' | 'title' | 'uses' | 'irreversible' | 'handsOnMin' | 'watchedMin' | 'passiveMin'
>;

/** Worn for an evening, not for a step. */
const BY_THE_EVENING: ReadonlySet<Supply> = new Set<Supply>(['gloves']);

/** Where nobody promised a day (planning estimate). */
const PART_LEAD_DAYS = 14;

/**
 * All that the tasks still to be done take, summed: what the first irreversible steps need first, then what takes longest
 * to come. Parts that are wanted belong to the list with the things they cannot be fitted without.
 *
 * Tasks come in plan order, without those that are done. sessionMin: the longest bench session; what is worn counts by the
 * evenings on which its steps fall, when they are done in this order without a break.
 */
export function listSupplies(
  open: readonly SuppliedTask[],
  parts: readonly PlanPart[],
  now: Date,
  sessionMin: number,
): SupplyLine[] {
  const firstCut = open.findIndex((task) => task.irreversible);
  const lines = new Map<Supply, SupplyLine>();
  const eveningOf = countEvenings(open, sessionMin);
  const evenings = new Map<Supply, Set<number>>();
  open.forEach(({ id, title, uses }, place) => {
    for (const { what, amount } of uses) {
      const { kind, toolKind, unit, leadDays } = SUPPLIES[what];
      const before = lines.get(what);
      evenings.set(what, (evenings.get(what) ?? new Set()).add(eveningOf[place]!));
      lines.set(what, {
        ...{ what, kind, toolKind, unit, leadDays },
        amount: BY_THE_EVENING.has(what)
          ? evenings.get(what)!.size
          : kind === 'tool'
            ? null
            : (before?.amount ?? 0) + amount,
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

/** On which evening each step falls: one ends when it is full, or when what was done must be left for longer than it lasts. */
function countEvenings(open: readonly SuppliedTask[], sessionMin: number): number[] {
  let [evening, minutes] = [0, 0];
  let isLeft = false;
  return open.map(({ handsOnMin, watchedMin, passiveMin }) => {
    const own = handsOnMin + watchedMin;
    if (isLeft || (minutes > 0 && minutes + own > sessionMin)) [evening, minutes] = [evening + 1, 0];
    minutes += own;
    isLeft = passiveMin > sessionMin;
    return evening;
  });
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
