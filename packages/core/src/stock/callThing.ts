import type { StockKind, StockThing } from '../model/stock.ts';

/** Known by their measures: without its kind nobody knows what "4 / 1.7" is. */
const NAMED_BY_MEASURE: ReadonlySet<StockKind> = new Set([
  ...(['axle', 'wheel', 'tyre', 'screw', 'washer', 'rivet', 'false head', 'tube', 'gloves', 'decal', 'box'] as const),
]);

/** A thing as it is called outside its drawer: "tyre 12 mm, block tread". */
export const callThing = ({ kind, name }: Pick<StockThing, 'kind' | 'name'>): string =>
  NAMED_BY_MEASURE.has(kind) && !name.toLowerCase().includes(kind) ? `${kind} ${name}` : name;

/** A thing with where it lies: "M2 × 5, pan, drawer C1". */
export const callWhere = ({ name, drawer }: Pick<StockThing, 'name' | 'drawer'>): string =>
  drawer ? `${name}, drawer ${drawer}` : name;

/** The same as it is called outside its drawer, where nothing beside it says what it is. */
export const callThingWhere = ({ kind, name, drawer }: Pick<StockThing, 'kind' | 'name' | 'drawer'>): string =>
  callWhere({ name: callThing({ kind, name }), drawer });
