import type { PlanPart } from '../facts/specimenFacts.ts';
import { POURED, SUPPLIES, type Supply } from '../model/supply.ts';
import type { Task } from '../model/task.ts';
import type { ToolKind } from '../model/workshop.ts';
import type { WantBit, WayToGet } from '../model/workpiece.ts';

/** One line of what must be in hand. */
export interface SupplyLine {
  readonly what: string;
  readonly kind: 'material' | 'tool' | 'part';
  /** The kind of tool of the workshop that it is; null where that knows none. */
  readonly toolKind: ToolKind | null;
  /** The want that a part is for; null for all else. */
  readonly wantId: string | null;
  /** The small bit of that want; null where it is the part itself, and for all else. */
  readonly bit: Pick<WantBit, 'id' | 'by' | 'thingId'> | null;
  /** The pot, by its name, where the plan says which; null for all else. */
  readonly pot: string | null;
  /** Sum over the tasks; null for a tool and a part. */
  readonly amount: number | null;
  readonly unit: string;
  /** What it is for, in plan order. */
  readonly tasks: readonly { readonly id: string; readonly title: string }[];
  /** Days until it is here when it is ordered today. */
  readonly leadDays: number;
  /** The first evening on which a step takes it, 0 for the next one: sooner than that nobody waits for it. */
  readonly evening: number;
  /** Of a want: how it is come by, and when it is due if it was ordered by hand; null for all else. */
  readonly want: { readonly by: WayToGet; readonly isOrdered: boolean; readonly dueOn: string | null } | null;
  /** It is asked for before or at the first step that cannot be undone. */
  readonly isNeededFirst: boolean;
}

export type SuppliedTask = Pick<
  Task,
  | 'id'
  | 'act'
  | 'of'
  | 'title'
  | 'uses'
  | 'colours'
  | 'method'
  | 'partKeys'
  | 'irreversible'
  | 'handsOnMin'
  | 'watchedMin'
  | 'passiveMin'
>;

/** Worn for an evening, not for a step. */
const BY_THE_EVENING: ReadonlySet<Supply> = new Set<Supply>(['gloves']);

/** Where nobody promised a day (planning estimate). */
export const PART_LEAD_DAYS = 14;

/** One model of a job: its tasks in plan order without those that are done, and its parts. */
export interface SuppliedModel {
  readonly open: readonly SuppliedTask[];
  readonly parts: readonly PlanPart[];
}

/**
 * All that the models of a job still take, one line a thing: what the first irreversible steps need first, then what takes
 * longest to come. Parts that are wanted belong to the list with the things they cannot be fitted without.
 *
 * sessionMin: the longest bench session; what is worn counts by the evenings on which its steps fall, when they are done in this
 * order without a break.
 */
export function listSupplies(models: readonly SuppliedModel[], now: Date, sessionMin: number): SupplyLine[] {
  const lines = new Map<string, SupplyLine>();
  for (const { open, parts } of models)
    for (const line of [...listWants(parts, open, now, sessionMin), ...listTaken(open, sessionMin)]) {
      const key = `${line.what} ${line.pot ?? ''} ${line.wantId ?? ''} ${line.bit?.id ?? ''}`;
      lines.set(key, addUp(lines.get(key), line));
    }
  return [...lines.values()].sort(
    (a, b) =>
      Number(b.isNeededFirst) - Number(a.isNeededFirst) ||
      b.leadDays - a.leadDays ||
      a.what.localeCompare(b.what) ||
      (a.pot ?? '').localeCompare(b.pot ?? ''),
  );
}

const addUp = (before: SupplyLine | undefined, line: SupplyLine): SupplyLine =>
  before
    ? {
        ...before,
        amount: line.amount === null ? null : (before.amount ?? 0) + line.amount,
        tasks: [...before.tasks, ...line.tasks],
        evening: Math.min(before.evening, line.evening),
        isNeededFirst: before.isNeededFirst || line.isNeededFirst,
      }
    : line;

/** What the tasks of one model take by name, a line for each step. */
function listTaken(open: readonly SuppliedTask[], sessionMin: number): SupplyLine[] {
  const firstCut = open.findIndex((task) => task.irreversible);
  const eveningOf = countEvenings(open, sessionMin);
  const worn = new Set<string>();
  return open.flatMap(({ id, title, uses, colours }, place) =>
    uses.map(({ what, amount }): SupplyLine => {
      const { kind, toolKind, unit, leadDays } = SUPPLIES[what];
      const evening = `${what} ${eveningOf[place]!}`;
      const isWornAlready = BY_THE_EVENING.has(what) && worn.has(evening);
      worn.add(evening);
      const taken = BY_THE_EVENING.has(what) ? Number(!isWornAlready) : amount;
      return {
        ...{ what, kind, toolKind, wantId: null, bit: null, want: null, unit, leadDays, evening: eveningOf[place]! },
        pot: what in POURED ? (colours[0] ?? null) : null,
        amount: kind === 'tool' ? null : taken,
        tasks: [{ id, title }],
        isNeededFirst: firstCut >= 0 && place <= firstCut,
      };
    }),
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
function listWants(
  parts: readonly PlanPart[],
  open: readonly SuppliedTask[],
  now: Date,
  sessionMin: number,
): SupplyLine[] {
  const eveningOf = countEvenings(open, sessionMin);
  return parts.flatMap((part) => {
    // It is tried on the bare metal: until then nothing waits for it.
    const trial = open.findIndex(({ act, partKeys }) => act === 'trial-fit' && partKeys[0] === part.key);
    const common = {
      ...{ kind: 'part' as const, toolKind: null, pot: null, evening: eveningOf[trial] ?? 0, isNeededFirst: true },
      unit: '',
    };
    return part.wants.flatMap((want): SupplyLine[] => {
      const task = open.find(({ act, of }) => act === 'get' && of.wantId === want.id);
      const waits = task ?? (want.state === 'waived' ? undefined : open[trial]);
      if (!waits) return [];
      const tasks = [{ id: waits.id, title: `the ${part.name.toLowerCase()}` }];
      const own: SupplyLine[] = task
        ? [
            {
              ...common,
              what: want.what,
              want: { by: task.method as WayToGet, isOrdered: want.state === 'ordered', dueOn: want.dueOn },
              ...{ wantId: want.id, bit: null, amount: null, tasks },
              leadDays: want.dueOn ? countDays(now, want.dueOn) : PART_LEAD_DAYS,
            },
          ]
        : [];
      const bits = want.bits
        .filter(({ isHere }) => !isHere)
        .map(({ id, what, amount, by, thingId }) => ({
          ...common,
          ...{ what, amount, unit: 'pieces', wantId: want.id, bit: { id, by, thingId }, want: null, tasks },
          leadDays: PART_LEAD_DAYS,
        }));
      return [...own, ...bits];
    });
  });
}

const countDays = (from: Date, day: string) =>
  Math.max(0, Math.ceil((Date.parse(`${day}T12:00:00Z`) - from.getTime()) / 86_400_000));
