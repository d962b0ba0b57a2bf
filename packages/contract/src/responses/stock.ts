import type { Movement, StockNotice, StockState, StockThing, Supplier } from '@sardonyx/core';

/** A thing with what its log leaves of it. */
export interface ThingView extends StockThing {
  readonly state: StockState;
  /** In the drawer and reserved for nobody. */
  readonly free: number;
  readonly notices: readonly StockNotice[];
}

export interface StockView {
  readonly things: readonly ThingView[];
  readonly suppliers: readonly Supplier[];
}

/** The log of one thing, the first line first. */
export type ThingLog = readonly (Movement & { readonly seq: number })[];
