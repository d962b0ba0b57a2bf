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
    private readonly tasks: Workshop['tasks'],
    private readonly starts: Float64Array,
    private readonly putOff: readonly number[],
  ) {
    [this.from, this.to, this.shuts, this.since] = [1, 2, 3, 4].map(() => new Float64Array(tasks.length)) as [
      Float64Array,
      Float64Array,
      Float64Array,
      Float64Array,
    ];
  }

  add(index: number): void {
    const { notBefore, after, within } = this.tasks[index]!;
    this.#open(index, Math.max(0, notBefore, this.putOff[index]!));
    this.since[index] = this.from[index]!;
    this.shuts[index] = within.at(-1)!.to;
    for (const { task, spans } of after)
      this.shuts[index] = Math.min(this.shuts[index], this.#doneAt(task) + spans.at(-1)!.to);
    this.list.push(index);
  }

  remove(index: number): void {
    this.list.splice(this.list.indexOf(index), 1);
  }

  isOpen(index: number, at: number): boolean {
    if (at >= this.to[index]!) this.#open(index, at);
    return this.from[index]! <= at;
  }

  #doneAt(task: number): number {
    return computeDoneMin(this.tasks[task]!, this.starts[task]!);
  }

  /** The first window in which all agree, from a moment on. */
  #open(index: number, moment: number): void {
    const { after, within } = this.tasks[index]!;
    let [at, to] = [moment, Infinity];
    for (let i = -1; i < after.length; i++) {
      const done = i < 0 ? 0 : this.#doneAt(after[i]!.task);
      const span = (i < 0 ? within : after[i]!.spans).find((one) => done + one.to > at);
      if (!span) {
        this.from[index] = this.to[index] = Infinity;
        this.isLost = true;
        return;
      }
      if (done + span.from > at) {
        // What was looked at before may have a gap there.
        [at, to] = [done + span.from, Infinity];
        i = -2;
        continue;
      }
      to = Math.min(to, done + span.to);
    }
    [this.from[index], this.to[index]] = [at, to];
  }
}
