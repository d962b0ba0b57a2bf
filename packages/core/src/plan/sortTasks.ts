import type { TaskLink } from '../model/work.ts';

export type SortedKeys =
  | { readonly kind: 'order'; readonly keys: readonly string[] }
  | { readonly kind: 'cycle'; readonly keys: readonly string[] };

/**
 * Topological order that keeps the given order wherever the links allow it (Kahn 1962, smallest index first).
 * When there is none, the shortest cycle among what is left is returned, its first key repeated at the end.
 */
export function sortTasks(keys: readonly string[], links: ReadonlyMap<string, readonly TaskLink[]>): SortedKeys {
  const done = new Set<string>();
  const order: string[] = [];
  let left = [...keys];
  while (left.length > 0) {
    const next = left.find((key) => links.get(key)!.every((link) => done.has(link.key)));
    if (next === undefined)
      return {
        kind: 'cycle',
        keys: findShortestCycle(left, links),
      };
    done.add(next);
    order.push(next);
    left = left.filter((key) => key !== next);
  }
  return { kind: 'order', keys: order };
}

function findShortestCycle(keys: readonly string[], links: ReadonlyMap<string, readonly TaskLink[]>): string[] {
  let best: string[] = [];
  for (const start of keys) {
    const from = new Map<string, string>();
    const queue = [start];
    for (let key = queue.shift(); key !== undefined; key = queue.shift()) {
      for (const { key: before } of links.get(key)!) {
        if (before === start) {
          const cycle = [start];
          for (let at: string | undefined = key; at !== undefined && at !== start; at = from.get(at)) cycle.push(at);
          cycle.push(start);
          if (best.length === 0 || cycle.length < best.length) best = cycle;
        } else if (!from.has(before) && keys.includes(before)) {
          from.set(before, key);
          queue.push(before);
        }
      }
    }
  }
  return best;
}

/** Drops every link that follows from others, so that a task names only what it directly waits for. */
export function reduceLinks(
  order: readonly string[],
  links: ReadonlyMap<string, readonly TaskLink[]>,
): Map<string, TaskLink[]> {
  const place = new Map(order.map((key, i) => [key, i]));
  const words = Math.ceil(order.length / 32);
  // One bit for every task that must come before, whether it is named or follows from what is.
  const ancestors = order.map(() => new Uint32Array(words));
  const reduced = new Map<string, TaskLink[]>();
  order.forEach((key, i) => {
    const own = links.get(key)!;
    const implied = ancestors[i]!;
    for (const link of own) {
      const theirs = ancestors[place.get(link.key)!]!;
      for (let word = 0; word < words; word++) implied[word]! |= theirs[word]!;
    }
    reduced.set(
      key,
      own.filter((link) => !hasBit(implied, place.get(link.key)!)),
    );
    for (const link of own) setBit(implied, place.get(link.key)!);
  });
  return reduced;
}

const hasBit = (bits: Uint32Array, at: number) => (bits[at >> 5]! & (1 << (at & 31))) !== 0;
const setBit = (bits: Uint32Array, at: number) => void (bits[at >> 5]! |= 1 << (at & 31));
