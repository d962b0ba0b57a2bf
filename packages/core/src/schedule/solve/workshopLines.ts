import { findWindow } from './findWindow.ts';
import { findWithin } from './findWithin.ts';
import { GunLine, type Spray } from './gunLine.ts';
import { SpanLine, type Taken } from './spanLine.ts';
import { AIR_SETTINGS, computeAirMin, computeHeldMin, type Workshop, type WorkTask } from './workshop.ts';

/** Where a task can go. */
export interface Fit {
  readonly start: number;
  readonly who: number;
  readonly cleaningMin: number;
  readonly spares: number | null;
}

interface FitQuestion {
  readonly from: number;
  readonly before: number;
  readonly evenLate: boolean;
  readonly isRun?: boolean;
}

/** All lines as they were at a moment. */
export interface LinesBefore {
  readonly starts: Float64Array;
  readonly who: Int8Array;
  readonly lines: readonly (readonly Taken[])[];
  readonly sprays: readonly Spray[];
}

/** What is taken of everybody's hands, of every place, of the gun and of the air while a plan is being made. */
export class WorkshopLines {
  /** By task; NaN while it has no place. */
  readonly starts: Float64Array;
  readonly who: Int8Array;
  /** So many minutes later is as good for a spray where it spares a cleaning. */
  patienceMin = 0;
  readonly #hands: readonly SpanLine[];
  readonly #places: ReadonlyMap<string, SpanLine>;
  readonly #gun: GunLine;
  /** Vapours go together, and so do sparks. */
  readonly #air = new SpanLine(Infinity);
  readonly #all: readonly SpanLine[];

  constructor(readonly workshop: Workshop) {
    const { tasks, restorers, places, gun, inRoom, airingMin } = workshop;
    this.starts = new Float64Array(tasks.length).fill(NaN);
    this.who = new Int8Array(tasks.length).fill(-1);
    this.#hands = restorers.map(() => new SpanLine(1));
    this.#places = new Map(Object.entries(places).map(([place, room]) => [place, new SpanLine(room)]));
    this.#gun = new GunLine(gun);
    this.#all = [...this.#hands, ...this.#places.values(), this.#air];
    for (const { from, to, air } of inRoom)
      this.#air.add({ from, to: to + (air === 'vapour' ? airingMin : 0), task: -1, setting: AIR_SETTINGS[air] });
  }

  isPlaced(task: number): boolean {
    return !Number.isNaN(this.starts[task]!);
  }

  keep(): LinesBefore {
    return {
      ...{ starts: this.starts.slice(), who: this.who.slice(), sprays: this.#gun.sprays },
      lines: this.#all.map(({ taken }) => taken),
    };
  }

  restore({ starts, who, lines, sprays }: LinesBefore): void {
    this.starts.set(starts);
    this.who.set(who);
    this.#all.forEach((line, i) => (line.taken = lines[i]!));
    this.#gun.sprays = sprays;
  }

  /**
   * The earliest place of a task from a moment on, with whoever has it first; null where there is none. `evenLate`: as if nothing of
   * what goes before had a latest.
   */
  findFit(index: number, from: number, evenLate = false): Fit | null {
    const task = this.workshop.tasks[index]!;
    let best: Fit | null = null;
    for (const who of task.who) {
      const fit = this.#findFitOf(task, who, { from, before: best ? best.start : Infinity, evenLate });
      if (fit && (!best || fit.start < best.start)) best = fit;
    }
    if (best && task.gun !== null && best.cleaningMin > 0 && best.spares === null && this.patienceMin > 0)
      return this.#findRun(task, best) ?? best;
    return best;
  }

  /**
   * At that very moment by that restorer; null where it cannot be. What it waits for has its place already. `isRun`: another spray of its
   * colour will follow, so that nobody cleans after it.
   */
  fitAt(index: number, start: number, who: number, isRun: boolean): Fit | null {
    const task = this.workshop.tasks[index]!;
    if (!task.who.includes(who) || !task.after.every((link) => this.isPlaced(link.task))) return null;
    return this.#findFitOf(task, who, { from: start, before: start + MOMENT, evenLate: false, isRun });
  }

  add(index: number, { start, who, cleaningMin, spares }: Fit): void {
    const task = this.workshop.tasks[index]!;
    [this.starts[index], this.who[index]] = [start, who];
    if (spares !== null) this.#setCleaning(spares, 0);
    this.#takeHands(index, cleaningMin);
    for (const { place, until, setting } of task.holds)
      this.#places.get(place)!.add({ from: start, to: start + computeHeldMin(task, until), task: index, setting });
    if (task.air)
      this.#air.add({
        from: start,
        to: start + computeAirMin(this.workshop, task),
        task: index,
        setting: AIR_SETTINGS[task.air],
      });
    const to = start + task.handsMin;
    if (task.gun !== null) this.#gun.add({ task: index, from: start, to, colour: task.gun, cleaningMin });
  }

  /** Takes a task out. Another one that can no longer stand as it does without it is returned. */
  remove(index: number): number | null {
    const task = this.workshop.tasks[index]!;
    this.#hands[this.who[index]!]!.remove(index);
    for (const { place } of task.holds) this.#places.get(place)!.remove(index);
    if (task.air) this.#air.remove(index);
    this.starts[index] = NaN;
    if (task.gun === null) return null;
    const uncleaned = this.#gun.remove(index);
    if (!uncleaned) return null;
    const { task: before, to } = uncleaned;
    const { cleaningMin } = this.workshop.gun;
    const hands = this.#hands[this.who[before]!]!;
    if (this.#afterSession(this.who[before]!, to, cleaningMin) > to || hands.findFree(to, cleaningMin) > to)
      return before;
    this.#setCleaning(before, cleaningMin);
    return null;
  }

  #takeHands(index: number, cleaningMin: number): void {
    const [from, who] = [this.starts[index]!, this.who[index]!];
    const to = from + this.workshop.tasks[index]!.handsMin + cleaningMin;
    this.#hands[who]!.add({ from, to, task: index, setting: null });
  }

  #setCleaning(task: number, cleaningMin: number): void {
    this.#gun.setCleaning(task, cleaningMin);
    this.#hands[this.who[task]!]!.remove(task);
    this.#takeHands(task, cleaningMin);
  }

  #afterSession(who: number, at: number, minutes: number): number {
    return findWithin(this.workshop.restorers[who]!.sessions, at, minutes);
  }

  /** A place right after a spray of the same colour, before patience ends. */
  #findRun(task: WorkTask, { start }: Fit): Fit | null {
    const last = start + this.patienceMin;
    for (const { colour, to } of this.#gun.sprays) {
      if (to > last) return null;
      if (to < start || colour !== task.gun) continue;
      for (const who of task.who) {
        const fit = this.#findFitOf(task, who, { from: to, before: to + this.workshop.gun.keepsMin, evenLate: false });
        if (fit && (fit.spares !== null || fit.cleaningMin === 0)) return fit;
      }
    }
    return null;
  }

  /** Round everything that can be in the way until nothing is. */
  #findFitOf(task: WorkTask, who: number, { from, before, evenLate, isRun = false }: FitQuestion): Fit | null {
    const { dry } = this.workshop;
    const hands = this.#hands[who]!;
    let at = this.#afterLinks(task, Math.max(from, task.notBefore), evenLate);
    for (;;) {
      if (at >= before) return null;
      const began = at;
      let gun = task.gun === null ? NO_GUN : this.#gun.fit(at, task.handsMin, task.gun);
      if (typeof gun === 'number') {
        at = this.#afterLinks(task, gun, evenLate);
        continue;
      }
      if (isRun) gun = { ...gun, cleaningMin: 0 };
      const minutes = task.handsMin + gun.cleaningMin;
      at = this.#afterSession(who, at, Math.max(minutes, task.handsMin + task.watchedMin));
      const free = hands.findFree(at, minutes);
      if (free > at && !this.#isOnlySpared(hands, gun.spares, at, minutes)) at = free;
      if (task.isDry) at = findWithin(dry, at, task.handsMin);
      for (const { place, until, setting } of task.holds)
        at = this.#places.get(place)!.findFree(at, computeHeldMin(task, until), setting);
      if (task.air) at = this.#air.findFree(at, computeAirMin(this.workshop, task), AIR_SETTINGS[task.air]);
      at = this.#afterLinks(task, at, evenLate);
      if (at === Infinity) return null;
      if (at === began) return { start: at, who, ...gun };
    }
  }

  #isOnlySpared(hands: SpanLine, spares: number | null, from: number, minutes: number): boolean {
    if (spares === null) return false;
    const sprayed = this.starts[spares]! + this.workshop.tasks[spares]!.handsMin;
    return hands.taken.every(
      (one) => one.to <= from || one.from >= from + minutes || (one.task === spares && sprayed <= from),
    );
  }

  /** The first moment from `at` on in a window of everything that goes before; Infinity where it is too late. */
  #afterLinks(task: WorkTask, at: number, evenLate: boolean): number {
    return findWindow(this.workshop, this.starts, task, at, evenLate)?.from ?? Infinity;
  }
}

/** Less than this is the same minute. */
const MOMENT = 1e-6;
const NO_GUN = { cleaningMin: 0, spares: null };
