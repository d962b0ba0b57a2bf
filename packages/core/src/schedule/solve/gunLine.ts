import { findFirst } from '../../numeric/findFirst.ts';
import { isKeptInGun, type Workshop } from './workshop.ts';

/** A spray as it stands on the gun's line. */
export interface Spray {
  readonly task: number;
  readonly from: number;
  readonly to: number;
  readonly colour: string;
  /** Minutes of cleaning right after it; none where the next one of its colour follows before the paint dries in the gun. */
  readonly cleaningMin: number;
}

/** How a spray could go in: the cleaning after it, and the task whose cleaning it takes over. */
export interface GunFit {
  readonly cleaningMin: number;
  readonly spares: number | null;
}

/** One gun: a spray at a time, cleaned after the last of a colour. */
export class GunLine {
  sprays: readonly Spray[] = [];

  constructor(private readonly gun: Workshop['gun']) {}

  /** What it takes to spray this colour from then on for so many minutes; where it cannot go in, the moment to try next. */
  fit(at: number, minutes: number, colour: string): GunFit | number {
    const next = this.#findNext(at);
    const [before, after] = [this.sprays[next - 1], this.sprays[next]];
    const to = at + minutes;
    const joins = before?.colour === colour && isKeptInGun(this.gun, before.to, at);
    const isRun = before && after && before.cleaningMin === 0;
    if (isRun && !joins) return after.to;
    if (before && !joins && at < before.to + before.cleaningMin)
      return before.colour === colour && at < before.to ? before.to : before.to + before.cleaningMin;
    const cleaningMin = after?.colour === colour && isKeptInGun(this.gun, to, after.from) ? 0 : this.gun.cleaningMin;
    if (after && to + cleaningMin > after.from) return after.to;
    return { cleaningMin, spares: joins && before.cleaningMin > 0 ? before.task : null };
  }

  add(spray: Spray): void {
    this.sprays = this.sprays.toSpliced(this.#findNext(spray.from), 0, spray);
  }

  /** This one is cleaned after, or no longer. */
  setCleaning(task: number, cleaningMin: number): void {
    this.sprays = this.sprays.map((spray) => (spray.task === task ? { ...spray, cleaningMin } : spray));
  }

  /** Takes a spray out; the one before it where that has no cleaning and needs it now. */
  remove(task: number): Spray | null {
    const at = this.sprays.findIndex((spray) => spray.task === task);
    this.sprays = this.sprays.toSpliced(at, 1);
    const [before, after] = [this.sprays[at - 1], this.sprays[at]];
    if (!before || before.cleaningMin > 0) return null;
    return after?.colour === before.colour && isKeptInGun(this.gun, before.to, after.from) ? null : before;
  }

  /** Index of the first that begins after that moment. */
  #findNext(at: number): number {
    return findFirst(this.sprays.length, (i) => this.sprays[i]!.from > at);
  }
}
