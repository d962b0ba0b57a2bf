import type { Versioned } from './catalogue.ts';
import type { Supply } from './supply.ts';
import type { ToolKind } from './workshop.ts';

/** What something is ordered for: a drawer, a want, what plans ask for by name, a pot, a tool; all null where it is only told in words. */
export interface OrderedFor {
  readonly thingId: string | null;
  readonly wantId: string | null;
  /** The small bit of that want; null where it is the part itself. */
  readonly bitId: string | null;
  readonly serves: Supply | null;
  /** A paint of the shelf, by its line and name. */
  readonly pot: string | null;
  readonly toolKind: ToolKind | null;
}

/** Something sent for, at one supplier. */
export interface StockOrder extends Versioned {
  readonly supplierId: string;
  /** ISO day. */
  readonly orderedOn: string;
  /** As the supplier says, ISO day; a new promise takes the place of the old one, the first is kept for the supplier's word. */
  readonly promisedOn: string;
  readonly firstPromisedOn: string;
  readonly note: string;
}

/** How a line came out. */
export const QUALITIES = ['as wanted', 'poor', 'wrong', 'not sent'] as const;
export type Quality = (typeof QUALITIES)[number];

/** One thing of an order. */
export interface OrderLine extends Versioned, OrderedFor {
  readonly orderId: string;
  readonly what: string;
  readonly amount: number;
  readonly unit: string;
  /** For one job alone; null where for several or for the drawer. */
  readonly jobId: string | null;
  /** Of all of it, in the house's money; null where nobody said. */
  readonly price: number | null;
  /** ISO day; null while it has not come. */
  readonly arrivedOn: string | null;
  /** So much came; null while nothing has. */
  readonly arrivedAmount: number | null;
  readonly quality: Quality | null;
}
