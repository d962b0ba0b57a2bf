import { findFirst } from '../../numeric/findFirst.ts';
import type { Span } from './workshop.ts';

/** A stretch that a task takes up on a line. */
export interface Taken extends Span {
  readonly task: number;
  readonly setting: number | null;
}

/** Stretches of one place, sorted by their beginning; as many at a time as it has room for. */
export class SpanLine {
  #taken: readonly Taken[] = [];
  /** What began longer ago than this is over. */
  #longest = 0;

  constructor(private readonly room: number) {}

  get taken(): readonly Taken[] {
    return this.#taken;
  }

  /** As another line was, or this one earlier. */
  set taken(taken: readonly Taken[]) {
    this.#taken = taken;
    this.#longest = taken.reduce((most, { from, to }) => Math.max(most, to - from), 0);
  }

  add(one: Taken): void {
    this.#longest = Math.max(this.#longest, one.to - one.from);
    const at = this.#findFirst(one.from);
    this.#taken = this.#taken.toSpliced(at, 0, one);
  }

  remove(task: number): void {
    this.#taken = this.#taken.filter((one) => one.task !== task);
  }

  /** The first moment from `from` on at which so many minutes fit in; Infinity never, for a line has an end. */
  findFree(from: number, minutes: number, setting: number | null = null): number {
    let at = from;
    for (;;) {
      const next = this.#findClash(at, minutes, setting);
      if (next === null) return at;
      at = next;
    }
  }

  /** When the first of what lies on the line then, or begins later, is over. */
  findNextEnd(at: number): number {
    let next = Infinity;
    for (let i = this.#findFirst(at - this.#longest); i < this.#taken.length; i++)
      if (this.#taken[i]!.to > at) next = Math.min(next, this.#taken[i]!.to);
    return next;
  }

  /** When what is in the way is over; null where nothing is. */
  #findClash(from: number, minutes: number, setting: number | null): number | null {
    const to = from + minutes;
    const beside: Taken[] = [];
    for (let i = this.#findFirst(from - this.#longest); i < this.#taken.length; i++) {
      const one = this.#taken[i]!;
      if (one.from >= to) break;
      if (one.to <= from) continue;
      if (one.setting !== setting || this.room === 1) return one.to;
      beside.push(one);
      const still = beside.filter((other) => other.to > one.from);
      if (still.length >= this.room) return Math.min(...still.map((other) => other.to));
    }
    return null;
  }

  /** Index of the first that begins then or later. */
  #findFirst(from: number): number {
    return findFirst(this.#taken.length, (i) => this.#taken[i]!.from >= from);
  }
}
