import { addAll, createBitSet, highestBitWithout, isWithin, listBits, setBit, type BitSet } from '../numeric/bitSet.ts';

import type { TaskNet } from './linkTasks.ts';

export type Sorted =
  | { readonly kind: 'order'; readonly places: readonly number[] }
  | { readonly kind: 'cycle'; readonly places: readonly number[] };

/**
 * Topological order that keeps the given order wherever the links allow it (Kahn 1962, smallest place first). `before` has
 * for each task what must be done before it. When there is none, the shortest cycle among what is left is returned, its
 * first place repeated at the end.
 */
export function sortTasks(before: readonly BitSet[]): Sorted {
  const done = createBitSet(before.length);
  const order: number[] = [];
  const left = before.map((_, place) => place);
  while (left.length > 0) {
    const next = left.findIndex((place) => isWithin(before[place]!, done));
    if (next < 0) return { kind: 'cycle', places: findShortestCycle(left, before) };
    const place = left[next]!;
    setBit(done, place);
    order.push(place);
    left.splice(next, 1);
  }
  return { kind: 'order', places: order };
}

function findShortestCycle(left: readonly number[], before: readonly BitSet[]): number[] {
  const isLeft = new Set(left);
  let best: number[] = [];
  for (const start of left) {
    const from = new Map<number, number>();
    const queue = [start];
    for (let place = queue.shift(); place !== undefined; place = queue.shift()) {
      for (const earlier of listBits(before[place]!)) {
        if (earlier === start) {
          const cycle = [start];
          for (let at: number | undefined = place; at !== undefined && at !== start; at = from.get(at)) cycle.push(at);
          cycle.push(start);
          if (best.length === 0 || cycle.length < best.length) best = cycle;
        } else if (!from.has(earlier) && isLeft.has(earlier)) {
          from.set(earlier, place);
          queue.push(earlier);
        }
      }
    }
  }
  return best;
}

/**
 * What each task directly waits for, in an order that satisfies all links: without what follows from others. A wait follows
 * only from a task that has waited itself: who comes right after a coat waits for it to dry, and whoever comes after that one
 * finds it dry. What must come soon after another stays named.
 */
export function reduceLinks(
  order: readonly number[],
  { before, waitsFor, soonAfter }: Pick<TaskNet, 'before' | 'waitsFor' | 'soonAfter'>,
): ReadonlyMap<number, readonly number[]> {
  const size = before.length;
  // Everything that must come before, whether it is named or follows from what is.
  const ancestors: BitSet[] = before.map(() => createBitSet(size));
  // Of those, what is dry, set or soaked for certain when the task begins.
  const waitedOut: BitSet[] = before.map(() => createBitSet(size));
  const reduced = new Map<number, readonly number[]>();
  const wet = createBitSet(size);
  const more = createBitSet(size);
  for (const place of order) {
    const named = before[place]!;
    const implied = ancestors[place]!;
    // Later places first: most of what is named follows from them and need not be looked at.
    for (let at = highestBitWithout(named, implied, size); at >= 0; at = highestBitWithout(named, implied, at))
      addAll(implied, ancestors[at]!);
    const waited = waitedOut[place]!;
    const direct = listBits(named, implied);
    for (const at of direct) addAll(waited, waitedOut[at]!);
    addAll(implied, named);
    wet.fill(0);
    addAll(wet, implied, waitsFor[place]!);
    // What follows from others is named all the same where it is still wet, or must come soon.
    more.fill(0);
    addAll(more, named, soonAfter[place]!);
    for (let word = 0; word < more.length; word++) more[word]! |= wet[word]! & ~waited[word]!;
    for (const at of direct) setBit(more, at);
    addAll(waited, wet);
    reduced.set(place, listBits(more));
  }
  return reduced;
}
