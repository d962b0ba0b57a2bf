import type { OrdersView, SupplierView } from '@sardonyx/contract';
import { toIsoDay } from '@sardonyx/core';
import { formatDay } from '../../shared/dates/sayDates.ts';

export const count = (n: number, one: string, more = `${one}s`): string => `${n} ${n === 1 ? one : more}`;
export const sayPrice = (price: number | null): string => (price === null ? 'price not known' : price.toFixed(2));
export const sayDay = (day: number): string => formatDay(toIsoDay(day));

/** The screen in one sentence: what presses, what is on its way. */
export function sayOrders({ lacking, open }: OrdersView): string {
  const lines = lacking.reduce((sum, order) => sum + order.lines.length, 0);
  const late = open.filter(({ arrival }) => arrival?.isOverdue).length;
  return [
    lines === 0 ? 'Nothing is to be ordered' : `${count(lines, 'thing')} to order`,
    ...(open.length ? [`${count(open.length, 'order')} on the way${late ? `, ${late} late` : ''}`] : []),
  ].join('; ');
}

/** What a supplier's word is worth, and of how many orders that is known. */
export function sayWord({ promisedDays, delay: { share, low, high, orders }, quality }: SupplierView): string {
  const days = (of: number) => Math.max(1, Math.round(promisedDays * of));
  const takes = `Says ${count(promisedDays, 'day')}, takes about ${days(share)} (${days(low)} to ${days(high)}, nine times in ten)`;
  const known = orders === 0 ? 'nothing ordered yet: planning estimate' : `from ${count(orders, 'order')}`;
  const good =
    quality.lines === 0
      ? ''
      : `; ${Math.round(100 * quality.share)} % came as wanted (${Math.round(100 * quality.low)} to ${Math.round(100 * quality.high)} %, ${count(quality.lines, 'line')})`;
  return `${takes}, ${known}${good}`;
}
