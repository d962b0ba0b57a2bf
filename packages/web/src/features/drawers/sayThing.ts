import type { ThingView } from '@sardonyx/contract';
import { sayAmount as sayCounted } from '../../shared/sayAmount.ts';
import { formatDay } from '../../shared/dates/sayDates.ts';
import { STOCK_KINDS, type StockKind, type StockNotice, type StockUnit } from '@sardonyx/core';

type Size = keyof ThingView['sizes'];

export const SIZE_WORDS: Readonly<Record<Size, string>> = {
  ...{ diameter: 'diameter', length: 'length', width: 'width', height: 'height', thickness: 'thickness' },
  ...{ bore: 'bore', headDiameter: 'head across', headHeight: 'head high' },
};

export const unitOf = (kind: StockKind): StockUnit => STOCK_KINDS[kind].unit;

/** "12 pieces", "812.5 mm". */
export const sayAmount = (amount: number, kind: StockKind): string => sayCounted(amount, unitOf(kind));

/** "1.2 diameter, 30 length", in mm; then what is said of it in words. */
export function sayMeasures({ sizes, traits }: Pick<ThingView, 'sizes' | 'traits'>): string {
  const measured = (Object.entries(sizes) as [Size, number][]).map(([size, mm]) => `${SIZE_WORDS[size]} ${mm}`);
  return [...(measured.length ? [`${measured.join(', ')} mm`] : []), ...Object.values(traits)].join('; ');
}

export function sayNotice(notice: StockNotice, kind: StockKind): string {
  switch (notice.kind) {
    case 'reorder':
      return `order more: ${sayAmount(notice.free, kind)} free, ${sayAmount(notice.at, kind)} wanted`;
    case 'gone off':
      return `${sayAmount(notice.amount, kind)} went off on ${formatDay(notice.on)}`;
    case 'goes off':
      return `${sayAmount(notice.amount, kind)} goes off on ${formatDay(notice.on)}`;
  }
}

/** Where a drawer has no name. */
export const NO_DRAWER = 'no drawer';
export const drawerOf = ({ drawer }: Pick<ThingView, 'drawer'>): string => drawer || NO_DRAWER;
