import { SpanLine } from '../spanLine.ts';
import { AIR_SETTINGS, type Workshop } from '../workshop.ts';
import type { CompiledTasks } from './compileTasks.ts';

/** What places and air are taken up with while a plan is made forward in time. */
export class RoomNow {
  readonly #places: readonly SpanLine[];
  readonly #air = new SpanLine(Infinity);

  constructor(
    { places, inRoom, airingMin }: Workshop,
    private readonly tasks: CompiledTasks,
  ) {
    this.#places = Object.values(places).map((room) => new SpanLine(room));
    for (const { from, to, air } of inRoom)
      this.#air.add({ from, to: to + (air === 'vapour' ? airingMin : 0), task: -1, setting: AIR_SETTINGS[air] });
  }

  isFree(task: number, at: number): boolean {
    const { airMin, air, holds } = this.tasks;
    if (air[task]! > 0 && this.#air.findFree(at, airMin[task]!, air[task]!) > at) return false;
    for (const { place, minutes, setting } of holds[task]!)
      if (this.#places[place]!.findFree(at, minutes, setting) > at) return false;
    return true;
  }

  take(task: number, at: number): void {
    const { airMin, air, holds } = this.tasks;
    if (air[task]! > 0) this.#air.add({ from: at, to: at + airMin[task]!, task, setting: air[task]! });
    for (const { place, minutes, setting } of holds[task]!)
      this.#places[place]!.add({ from: at, to: at + minutes, task, setting });
  }

  /** When something is over next; endless where nothing is in the way of anything. */
  findNextEnd(at: number): number {
    return [this.#air, ...this.#places].reduce((next, line) => Math.min(next, line.findNextEnd(at)), Infinity);
  }
}
