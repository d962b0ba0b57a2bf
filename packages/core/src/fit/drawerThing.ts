import type { StockThing } from '../model/stock.ts';
import type { TaskMeasure } from '../model/task.ts';
import type { StockSum } from '../stock/ledger.ts';

/** Something of a drawer that may fit, and how much of it is to be had. */
export type DrawerThing = Pick<StockThing, 'id' | 'kind' | 'name' | 'drawer' | 'sizes' | 'traits' | 'isLocked'> &
  Pick<StockSum, 'free' | 'held'>;

/** What is put by of it for a job. */
export const countReservedFor = ({ held }: Pick<DrawerThing, 'held'>, jobId: string): number =>
  held.find((share) => share.jobId === jobId)?.reserved ?? 0;

/** A measure that was taken, mm; undefined where it was not. */
export const readMeasure = (measures: readonly TaskMeasure[], what: TaskMeasure['what']): number | undefined =>
  measures.find((one) => one.what === what && one.valueMm > 0)?.valueMm;
