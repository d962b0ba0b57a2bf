import type { Workshop } from '../workshop.ts';
import type { CompiledTasks } from './compileTasks.ts';

interface Taken {
  readonly from: number;
  readonly to: number;
  /** What it must agree in with whatever shares the place: the setting of an oven, 1 vapour or 2 spark in the air. */
  readonly kind: number | null;
}

/** What the places and the air are taken up with, as far as it still matters: a plan made forward in time forgets what is over. */
export class RoomNow {
  readonly #rooms: readonly number[];
  /** By place; the air is the last. */
  #taken: Taken[][];
  #forgot = -Infinity;

  constructor(
    { places, inRoom, airingMin }: Workshop,
    private readonly tasks: CompiledTasks,
  ) {
    this.#rooms = [...Object.values(places), Infinity];
    this.#taken = this.#rooms.map(() => []);
    for (const { from, to, air } of inRoom) {
      const isVapour = air === 'vapour';
      this.#air.push({ from, to: to + (isVapour ? airingMin : 0), kind: isVapour ? 1 : 2 });
    }
  }

  get #air(): Taken[] {
    return this.#taken.at(-1)!;
  }

  isFree(task: number, at: number): boolean {
    const { airMin, air, holds } = this.tasks;
    if (air[task]! > 0 && !this.#hasRoom(this.#rooms.length - 1, at, airMin[task]!, air[task]!)) return false;
    for (const { place, minutes, setting } of holds[task]!)
      if (!this.#hasRoom(place, at, minutes, setting)) return false;
    return true;
  }

  take(task: number, at: number): void {
    const { airMin, air, holds } = this.tasks;
    if (air[task]! > 0) this.#air.push({ from: at, to: at + airMin[task]!, kind: air[task]! });
    for (const { place, minutes, setting } of holds[task]!)
      this.#taken[place]!.push({ from: at, to: at + minutes, kind: setting });
  }

  /** When something is over next; endless where nothing is in the way of anything. */
  findNextEnd(at: number): number {
    this.#forget(at);
    let next = Infinity;
    for (const place of this.#taken) for (const { to } of place) if (to > at && to < next) next = to;
    return next;
  }

  /** Those that overlap are counted as if all did at once: never too few. */
  #hasRoom(place: number, at: number, minutes: number, kind: number | null): boolean {
    let count = 0;
    for (const one of this.#taken[place]!) {
      if (one.to <= at || one.from >= at + minutes) continue;
      if (one.kind !== kind) return false;
      count++;
    }
    return count < this.#rooms[place]!;
  }

  #forget(at: number): void {
    if (at < this.#forgot + FORGETS_MIN) return;
    this.#forgot = at;
    this.#taken = this.#taken.map((place) => place.filter(({ to }) => to > at));
  }
}

const FORGETS_MIN = 720;
