import type { Movement, PotMovement, StockNotice, StockSum, StockThing, Supplier } from '@sardonyx/core';

/** A thing with what its log leaves of it. */
export interface ThingView extends StockThing, StockSum {
  readonly notices: readonly StockNotice[];
}

export interface StockView {
  readonly things: readonly ThingView[];
  readonly suppliers: readonly Supplier[];
}

/** The log of one thing, the first line first. */
export type ThingLog = readonly (Movement & { readonly seq: number })[];
/** The lines of a pot, in ml, in the order in which they were written. */
export type PotLog = readonly (PotMovement & { readonly seq: number })[];
