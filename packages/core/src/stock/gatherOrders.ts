import type { OrderedFor } from '../model/order.ts';
import { groupBy } from '../groupBy.ts';
import { computeOrderBy, type Delay } from './learnDelay.ts';

/** Something that a job, or a drawer, lacks. Days are counted since 1970. */
export interface LackingLine extends OrderedFor {
  readonly what: string;
  readonly amount: number;
  readonly unit: string;
  readonly jobId: string | null;
  /** null for the drawer. */
  readonly jobNumber: string | null;
  /** The first day on which a step cannot go on without it; null where nobody plans it yet. */
  readonly neededDay: number | null;
  readonly supplierId: string;
  /** What the supplier says it takes. */
  readonly promisedDays: number;
  /** Of one unit; null where nobody knows. */
  readonly unitPrice: number | null;
}

/** One thing, for everybody who lacks it. */
export interface GatheredLine extends OrderedFor, Pick<LackingLine, 'what' | 'unit' | 'amount'> {
  /** null where it is for several, or for the drawer. */
  readonly jobId: string | null;
  readonly jobNumbers: readonly string[];
  readonly orderBy: number | null;
  /** null where the price of some of it is not known. */
  readonly price: number | null;
}

/** All that is wanted of one supplier, in one letter. */
export interface SupplierOrder {
  readonly supplierId: string;
  /** The day on which it must go out so that no job waits; null where none is planned. */
  readonly orderBy: number | null;
  readonly isLate: boolean;
  /** The most pressing first. */
  readonly lines: readonly GatheredLine[];
  readonly price: number | null;
}

const least = (days: readonly (number | null)[]): number | null => {
  const known = days.filter((day) => day !== null);
  return known.length ? Math.min(...known) : null;
};
const sum = (prices: readonly (number | null)[]): number | null =>
  prices.some((price) => price === null) ? null : prices.reduce<number>((total, price) => total + price!, 0);
const byDay = <T extends { readonly orderBy: number | null }>(a: T, b: T): number =>
  (a.orderBy ?? Infinity) === (b.orderBy ?? Infinity) ? 0 : (a.orderBy ?? Infinity) - (b.orderBy ?? Infinity);

/** What is wanted over all jobs, supplier by supplier, the most pressing first. */
export function gatherOrders(
  lines: readonly LackingLine[],
  delayOf: (supplierId: string) => Delay,
  today: number,
): SupplierOrder[] {
  return [...groupBy(lines, ({ supplierId }) => supplierId)]
    .map(([supplierId, own]): SupplierOrder => {
      const delay = delayOf(supplierId);
      const things = [
        ...groupBy(own, ({ what, unit, wantId, bitId }) => `${unit} ${what} ${wantId ?? ''} ${bitId ?? ''}`).values(),
      ].map((same): GatheredLine => {
        const [first] = same as [LackingLine];
        const days = same.map(({ neededDay, promisedDays }) =>
          neededDay === null ? null : computeOrderBy(neededDay, promisedDays, delay),
        );
        return {
          ...{ what: first.what, unit: first.unit, amount: same.reduce((total, one) => total + one.amount, 0) },
          thingId: same.find(({ thingId }) => thingId !== null)?.thingId ?? null,
          ...{
            wantId: first.wantId,
            bitId: first.bitId,
            serves: first.serves,
            pot: first.pot,
            toolKind: first.toolKind,
          },
          jobId: same.every(({ jobId }) => jobId === first.jobId) ? first.jobId : null,
          jobNumbers: [...new Set(same.flatMap(({ jobNumber }) => jobNumber ?? []))].sort(),
          orderBy: least(days),
          price: sum(same.map(({ unitPrice, amount }) => (unitPrice === null ? null : unitPrice * amount))),
        };
      });
      const orderBy = least(things.map((thing) => thing.orderBy));
      return {
        ...{ supplierId, orderBy, isLate: orderBy !== null && orderBy < today },
        lines: things.sort((a, b) => byDay(a, b) || a.what.localeCompare(b.what)),
        price: sum(things.map(({ price }) => price)),
      };
    })
    .sort(byDay);
}
