import { normalQuantile } from '../numeric/normal.ts';

/** An order of a supplier, days since 1970. */
export interface PastOrder {
  readonly orderedDay: number;
  readonly promisedDay: number;
  /** null while nothing has come. */
  readonly arrivedDay: number | null;
}

/** How long a supplier takes, as a share of what is promised. */
export interface Delay {
  /** Of the logarithm of taken over promised. */
  readonly mean: number;
  readonly sd: number;
  /** Orders that it was learned from. */
  readonly orders: number;
}

/** Post is late a little more often than early (planning estimates): as sure as so many orders would make it. */
const PRIOR = { mean: 0.1, sd: 0.35, orders: 3 } as const;
/** Nothing comes the day it is ordered. */
const LEAST_DAYS = 1;

const logRatio = (days: number, promised: number): number =>
  Math.log(Math.max(LEAST_DAYS, days) / Math.max(LEAST_DAYS, promised));

/**
 * What a supplier's word is worth, learned from all orders that have come and from those that are late already. Means and spreads
 * of so few orders are held near what is usual; the spread tells that of one order to come, what is not known of the mean included.
 */
export function learnDelay(past: readonly PastOrder[], today: number): Delay {
  const known = past.flatMap(({ orderedDay, promisedDay, arrivedDay }) => {
    const promised = promisedDay - orderedDay;
    if (arrivedDay !== null) return [logRatio(arrivedDay - orderedDay, promised)];
    // What is overdue takes at least as long as it has taken.
    return today > promisedDay ? [logRatio(today - orderedDay, promised)] : [];
  });
  const weight = PRIOR.orders + known.length;
  const mean = (PRIOR.orders * PRIOR.mean + known.reduce((sum, one) => sum + one, 0)) / weight;
  const squares = known.reduce((sum, one) => sum + (one - mean) ** 2, 0);
  const variance = (PRIOR.orders * (PRIOR.sd ** 2 + (PRIOR.mean - mean) ** 2) + squares) / weight;
  return { mean, sd: Math.sqrt(variance * (1 + 1 / weight)), orders: known.length };
}

/** Days that an order takes with a probability, or fewer. */
export const predictDays = ({ mean, sd }: Delay, promisedDays: number, share: number): number =>
  Math.max(LEAST_DAYS, promisedDays) * Math.exp(mean + sd * normalQuantile(share));

/** As sure as a job should be not to wait. */
const SURE = 0.9;

/** The last day on which it can be ordered and be here in time, nine times in ten. */
export const computeOrderBy = (neededDay: number, promisedDays: number, delay: Delay): number =>
  neededDay - Math.ceil(predictDays(delay, promisedDays, SURE));
