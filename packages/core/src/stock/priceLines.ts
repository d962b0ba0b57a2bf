import type { LogLine } from '../model/stock.ts';
import { appendMovement, EMPTY_STOCK, type StockState } from './ledger.ts';

/** What a line of a log took out of what came in, or put back (then below nothing). */
export interface LinePrice {
  /** In the house's money, so far as prices are known. */
  readonly cost: number;
  /** So much of it came in without a price, in the thing's own unit. */
  readonly unpriced: number;
}

/** What each line cost by the lots that it drained, the oldest first; the whole log in the order in which it was written. */
export function priceLines(lines: readonly LogLine[]): ReadonlyMap<string, LinePrice> {
  const prices = new Map<string, LinePrice>();
  let state = EMPTY_STOCK;
  for (const line of lines) {
    const after = appendMovement(state, line);
    const [had, has] = [valueOf(state), valueOf(after)];
    prices.set(line.id, { cost: had.cost - has.cost, unpriced: had.unpriced - has.unpriced });
    state = after;
  }
  return prices;
}

function valueOf({ lots }: StockState): LinePrice {
  let [cost, unpriced] = [0, 0];
  for (const { amount, unitPrice } of lots) {
    cost += amount * (unitPrice ?? 0);
    unpriced += unitPrice === null ? amount : 0;
  }
  return { cost, unpriced };
}
