import type { Quality } from '../model/order.ts';
import type { LogLine, Move, StockUnit } from '../model/stock.ts';
import { isDrawn } from '../model/wantBits.ts';
import type { Want } from '../model/workpiece.ts';
import { priceLines } from './priceLines.ts';

/** A line of a log, and the act it belongs to, where it has one. */
export type ActedLine = LogLine & { readonly actId?: string | null };

/** All that was ever written of a thing or a pot. */
export interface ThingLog {
  readonly what: string;
  readonly unit: StockUnit;
  /** What one unit is taken to cost where nobody said what it did; null where nobody knows. */
  readonly usualPrice: number | null;
  readonly lines: readonly ActedLine[];
}

/** Sent for by this job alone, and never in a drawer. */
export interface OwnOrder {
  readonly what: string;
  readonly amount: number;
  readonly unit: string;
  readonly price: number | null;
  readonly quality: Quality | null;
}

/** A want of the job, so far as what came for it follows. */
export type CostedWant = Pick<Want, 'what' | 'state' | 'origin' | 'price' | 'taken' | 'bits'>;

export interface CostInput {
  readonly jobId: string;
  readonly pots: readonly ThingLog[];
  readonly things: readonly ThingLog[];
  readonly orders: readonly OwnOrder[];
  readonly wants: readonly CostedWant[];
  /** Acts that came to nothing: coats that were rejected, steps of mixes that were given up. */
  readonly wastedActs: ReadonlySet<string>;
}

export const COST_GROUPS = ['paint', 'drawers', 'orders', 'parts'] as const;

export interface CostLine {
  readonly group: (typeof COST_GROUPS)[number];
  readonly what: string;
  /** Below nothing for what the job put on the shelf: a mix that was kept. */
  readonly amount: number;
  readonly unit: string;
  readonly cost: number;
  /** So much of the amount has no price: it is not in the cost. */
  readonly unpriced: number;
  /** Some of the cost follows from a usual price, not from what was paid. */
  readonly isUsual: boolean;
  readonly isWaste: boolean;
}

/** What a job took, so far as it is known what that cost. */
export interface JobCost {
  readonly lines: readonly CostLine[];
  readonly total: number;
  /** Of the total: what came to nothing. */
  readonly waste: number;
  /** Lines of which something has no price. */
  readonly withoutPrice: number;
}

/** Moves that give a job something, or take it back from it. */
const SIGN: Partial<Record<Move, 1 | -1>> = { taken: 1, wasted: 1, 'put back': -1, made: -1 };

/** What a job has cost in materials, waste by itself. Paint that it mixed and did not use stands on the shelf, and is not its own. */
export function gatherCost({ jobId, pots, things, orders, wants, wastedActs }: CostInput): JobCost {
  const lines = [
    ...pots.flatMap((log) => costOfLog('paint', log, jobId, wastedActs)),
    ...things.flatMap((log) => costOfLog('drawers', log, jobId, wastedActs)),
    ...orders.map(({ what, amount, unit, price, quality }) => ({
      ...{ group: 'orders' as const, what, amount, unit, isUsual: false },
      ...{
        cost: price ?? 0,
        unpriced: price === null ? amount : 0,
        isWaste: quality === 'poor' || quality === 'wrong',
      },
    })),
    ...wants.flatMap(listMet).map(({ what, price }) => ({
      ...{ group: 'parts' as const, what, amount: 1, unit: 'pieces', isUsual: false, isWaste: false },
      ...{ cost: price ?? 0, unpriced: price === null ? 1 : 0 },
    })),
  ];
  const sum = (some: readonly CostLine[]) => some.reduce((total, { cost }) => total + cost, 0);
  return {
    lines,
    total: sum(lines),
    waste: sum(lines.filter(({ isWaste }) => isWaste)),
    withoutPrice: lines.filter(({ unpriced }) => unpriced > 0).length,
  };
}

/** What came for a want, and its small bits; what a drawer gave is in that drawer's log, and a donor costs nothing unless somebody says so. */
function listMet({ what, state, origin, price, taken, bits }: CostedWant): Pick<CostedWant, 'what' | 'price'>[] {
  const isPriced = (isOfDonor: boolean, own: number | null) => !isOfDonor || own !== null;
  const isMet = state === 'solved' && taken === null && isPriced(origin === 'donor', price);
  const small = bits.filter((bit) => bit.isHere && !isDrawn(bit) && isPriced(bit.by === 'donor', bit.price));
  return [...(isMet ? [{ what, price }] : []), ...small];
}

function costOfLog(
  group: CostLine['group'],
  { what, unit, usualPrice, lines }: ThingLog,
  jobId: string,
  wastedActs: ReadonlySet<string>,
): CostLine[] {
  const prices = priceLines(lines);
  const own = lines.filter((line) => line.jobId === jobId && line.move in SIGN);
  return [false, true].flatMap((isWaste): CostLine[] => {
    const some = own.filter(({ move, actId }) => (move === 'wasted' || wastedActs.has(actId ?? '')) === isWaste);
    let [amount, cost, unpriced] = [0, 0, 0];
    for (const line of some) {
      const sign = SIGN[line.move]!;
      amount += sign * line.amount;
      if (line.move === 'made') cost -= line.price ?? 0;
      else {
        const price = prices.get(line.id)!;
        cost += price.cost;
        unpriced += price.unpriced;
      }
    }
    const round = (value: number) => Math.round(value * 1e6) / 1e6;
    unpriced = Math.max(0, round(unpriced));
    const isUsual = unpriced > 0 && usualPrice !== null;
    if (round(amount) === 0 && round(cost) === 0) return [];
    return [
      {
        ...{ group, what, amount: round(amount), unit, isWaste, isUsual },
        cost: round(cost + unpriced * (usualPrice ?? 0)),
        unpriced: usualPrice === null ? unpriced : 0,
      },
    ];
  });
}
