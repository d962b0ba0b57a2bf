import { groupBy } from '../../groupBy.ts';
import { MOST_IN_RECIPE } from './mixModel.ts';
import type { ShelfPaint } from './shelfOptics.ts';

export interface Shortage {
  /** The most that so many pots of one family hold together, ml. */
  readonly mostMl: number;
  /** So many pots would do; null where as many as may be mixed at all hold too little. */
  readonly potsThatDo: number | null;
}

/** Why nothing can be mixed: the fullest pots that mix with each other hold too little. null where that is not the reason. */
export function findShortage(paints: readonly ShelfPaint[], needMl: number, mostPaints: number): Shortage | null {
  const free = paints.filter((paint) => paint.family === '');
  const families = [...groupBy(paints, (paint) => paint.family).values()].map((own) =>
    [...(own[0]!.family === '' ? own : [...own, ...free])].map((one) => one.leftMl).sort((a, b) => b - a),
  );
  const sumOf = (lefts: readonly number[], count: number) => lefts.slice(0, count).reduce((sum, one) => sum + one, 0);
  const mostMl = Math.max(0, ...families.map((lefts) => sumOf(lefts, mostPaints)));
  if (mostMl >= needMl) return null;
  const enough = families.flatMap((lefts) => {
    const count = lefts.findIndex((_, i) => sumOf(lefts, i + 1) >= needMl);
    return count < 0 || count >= MOST_IN_RECIPE ? [] : [count + 1];
  });
  return { mostMl, potsThatDo: enough.length ? Math.min(...enough) : null };
}
