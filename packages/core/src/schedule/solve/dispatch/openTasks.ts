import { findWindow } from '../findWindow.ts';
import { computeDoneMin, type Workshop } from '../workshop.ts';

/** Tasks whose turn could come: all that goes before them has its place. */
export class OpenTasks {
  readonly list: number[] = [];
  /** By task: the window that is open, or opens next; endless where the last has shut. */
  readonly from: Float64Array;
  readonly to: Float64Array;
  /** When the last window shuts. */
  readonly shuts: Float64Array;
  /** When it could have begun at first. */
  readonly since: Float64Array;
  /** The last window of some task has shut. */
  isLost = false;

  constructor(
    private readonly workshop: Workshop,
    private readonly starts: Float64Array,
    private readonly putOff: readonly number[],
  ) {
    const make = () => new Float64Array(workshop.tasks.length);
    [this.from, this.to, this.shuts, this.since] = [make(), make(), make(), make()];
  }

  add(index: number): void {
    const { tasks } = this.workshop;
    const { notBefore, after, within } = tasks[index]!;
    this.#open(index, Math.max(0, notBefore, this.putOff[index]!));
    this.since[index] = this.from[index]!;
    this.shuts[index] = within.at(-1)!.to;
    for (const { task, spans } of after)
      this.shuts[index] = Math.min(
        this.shuts[index],
        computeDoneMin(tasks[task]!, this.starts[task]!) + spans.at(-1)!.to,
      );
    this.list.push(index);
  }

  remove(index: number): void {
    this.list.splice(this.list.indexOf(index), 1);
  }

  isOpen(index: number, at: number): boolean {
    if (at >= this.to[index]!) this.#open(index, at);
    return this.from[index]! <= at;
  }

  #open(index: number, moment: number): void {
    const window = findWindow(this.workshop, this.starts, this.workshop.tasks[index]!, moment);
    if (!window) this.isLost = true;
    this.from[index] = window?.from ?? Infinity;
    this.to[index] = window?.to ?? Infinity;
  }
}
