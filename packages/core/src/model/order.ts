import type { Versioned } from './catalogue.ts';
import type { Supply } from './supply.ts';
import type { ToolKind } from './workshop.ts';

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

/** One thing of an order: for a drawer, for a want, or for what plans ask for by name. */
export interface OrderLine extends Versioned {
  readonly orderId: string;
  readonly what: string;
  readonly amount: number;
  readonly unit: string;
  readonly thingId: string | null;
  readonly wantId: string | null;
  readonly serves: Supply | null;
  readonly toolKind: ToolKind | null;
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
