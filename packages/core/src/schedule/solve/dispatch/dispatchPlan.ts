import { findFirst } from '../../../numeric/findFirst.ts';
import type { Chains } from '../chains.ts';
import type { WorkPlan, Workshop } from '../workshop.ts';
import type { CompiledTasks } from './compileTasks.ts';
import type { DispatchRule } from './dispatchRule.ts';
import { OpenTasks } from './openTasks.ts';
import { PossibleNow, type Moment } from './possibleNow.ts';
import { RoomNow } from './roomNow.ts';
import { SessionsNow } from './sessionsNow.ts';

/**
 * A plan made forward in time (parallel schedule generation): whoever has their hands free first does what the rule says, and looks
 * as far ahead as windows shut. Sprays are put off until some of a colour are together, and then go one after the other, so that
 * the gun is cleaned seldom. Null where the rule runs into a window that nobody can keep, or out of sessions.
 */
export function dispatchPlan(
  workshop: Workshop,
  chains: Chains,
  tasks: CompiledTasks,
  rule: DispatchRule,
): WorkPlan | null {
  return new Dispatch(workshop, chains, tasks, rule).run();
}

/** What could be begun at a moment. */
interface Choice {
  readonly task: number;
  /** The least comes first. */
  readonly key: number;
}

/** A colour that could go into the gun. */
interface Run extends Choice {
  readonly count: number;
  readonly isForced: boolean;
}

class Dispatch {
  readonly #starts: Float64Array;
  readonly #who: Int8Array;
  readonly #left: Int32Array;
  readonly #keys: Float64Array;
  /** Sprays of each colour that have no place yet. */
  readonly #unsprayed: Int32Array;
  readonly #open: OpenTasks;
  readonly #room: RoomNow;
  readonly #sessions: SessionsNow;
  readonly #possible: PossibleNow;
  readonly #appointments: readonly { readonly task: number; readonly at: number }[];
  /** What is in the gun and must be cleaned out by whoever sprayed it, unless they go on with it. */
  #gun: { readonly colour: number; readonly by: number; readonly sprayed: number } | null = null;
  #gunFree = 0;

  constructor(
    private readonly workshop: Workshop,
    private readonly chains: Chains,
    private readonly tasks: CompiledTasks,
    private readonly rule: DispatchRule,
  ) {
    const all = workshop.tasks;
    this.#starts = new Float64Array(all.length).fill(NaN);
    this.#who = new Int8Array(all.length).fill(-1);
    this.#left = Int32Array.from(all, ({ after }) => after.length);
    this.#keys = Float64Array.from(
      all,
      ({ job }, i) => rule.due[job]! - rule.tailShare * tasks.tails[i]! + rule.shift[i]!,
    );
    this.#unsprayed = new Int32Array(1 + tasks.gun.reduce((most, colour) => Math.max(most, colour), 0));
    for (const colour of tasks.gun) this.#unsprayed[colour]!++;
    this.#open = new OpenTasks(workshop, this.#starts, rule.putOff);
    this.#room = new RoomNow(workshop, tasks);
    this.#sessions = new SessionsNow(workshop.restorers);
    this.#possible = new PossibleNow(workshop, tasks, rule, {
      open: this.#open,
      room: this.#room,
      sessions: this.#sessions,
    });
    this.#appointments = all
      .flatMap((_, task) => (Number.isNaN(tasks.appointed[task]!) ? [] : [{ task, at: tasks.appointed[task]! }]))
      .sort((a, b) => a.at - b.at);
    all.forEach((_, i) => {
      if (this.#left[i] === 0) this.#open.add(i);
    });
  }

  run(): WorkPlan | null {
    while (this.#open.list.length > 0) {
      const next = this.#sessions.findNext();
      if (!next || this.#open.isLost) return null;
      const { who, at, end } = next;
      const kept = this.#findAppointment(who, at);
      if (kept && kept.at <= at) {
        if (kept.at < at || !this.#isReady(kept.task, at) || !this.#possible.isPossible(kept.task, { who, at, end }))
          return null;
        this.#begin(kept.task, who, at);
      } else this.#goOn({ who, at, end: Math.min(end, kept?.at ?? Infinity) });
    }
    return { starts: this.#starts, who: this.#who };
  }

  /** What somebody does at a moment: a spray, something else, the gun, or nothing until something changes. */
  #goOn(moment: Moment): void {
    const { who, at } = moment;
    if (this.#gun?.by === who) {
      this.#goOnSpraying(moment);
      return;
    }
    const other = this.#chooseOther(moment);
    const run = this.#gun || at < this.#gunFree ? null : this.#chooseRun(moment);
    const first = run && run.key <= (other?.key ?? Infinity) ? run : other;
    if (first) this.#begin(first.task, who, at);
    else this.#sessions.free[who] = this.#findNextMoment(moment);
  }

  /** The next one of the colour in the gun, with something short before it; else the gun is cleaned. */
  #goOnSpraying(moment: Moment): void {
    const { who, at, end } = moment;
    const { colour, sprayed } = this.#gun!;
    const { hands, gun, present } = this.tasks;
    const { cleaningMin, keepsMin } = this.workshop.gun;
    const { list, from } = this.#open;
    const ofColour = list.filter((task) => gun[task] === colour);
    const now = this.#chooseFirst(ofColour, moment);
    if (now) {
      this.#begin(now.task, who, at);
      return;
    }
    const last = sprayed + keepsMin;
    const soon = ofColour
      .filter((task) => from[task]! > at && from[task]! <= last)
      .sort((a, b) => from[a]! - from[b]!)[0];
    if (soon !== undefined) {
      const latest = Math.min(last, end - present[soon]!);
      const others = list.filter((task) => this.#isBeside(task, soon) && at + hands[task]! <= latest);
      const meanwhile = this.#chooseFirst(others, moment);
      const done = meanwhile ? at + hands[meanwhile.task]! : at;
      const spray = Math.max(done, from[soon]!);
      if (
        spray - done <= this.rule.idleMin &&
        spray <= latest &&
        this.#possible.isPossible(soon, { who, at: spray, end })
      ) {
        if (meanwhile) this.#begin(meanwhile.task, who, at);
        this.#begin(soon, who, spray);
        return;
      }
    }
    this.#gun = null;
    this.#sessions.free[who] = this.#gunFree = Math.max(at, sprayed + cleaningMin);
  }

  /** Whether a task leaves gun, places and air to a spray that follows at once. */
  #isBeside(task: number, spray: number): boolean {
    const { gun, air, holds } = this.tasks;
    if (gun[task]! > 0 || (air[task]! > 0 && air[task] !== air[spray])) return false;
    return holds[task]!.every(({ place }) => holds[spray]!.every((one) => one.place !== place));
  }

  #chooseOther(moment: Moment): Choice | null {
    return this.#chooseFirst(this.#open.list, moment, true);
  }

  #chooseFirst(from: readonly number[], moment: Moment, isOther = false): Choice | null {
    let first: Choice | null = null;
    for (const task of from) {
      if (this.#open.from[task]! > moment.at || (isOther && this.tasks.gun[task]! > 0)) continue;
      const key = this.#keyOf(task);
      if ((!first || key < first.key) && this.#possible.isPossible(task, moment)) first = { task, key };
    }
    return first;
  }

  /** The colour to go into the gun now, with its first spray. */
  #chooseRun(moment: Moment): Choice | null {
    const { gun } = this.tasks;
    const { leastRun, waitMin, hasteMin } = this.rule;
    const runs = new Map<number, Run>();
    for (const task of this.#open.list) {
      if (gun[task] === 0 || this.#open.from[task]! > moment.at || !this.#possible.isPossible(task, moment)) continue;
      const key = this.#keyOf(task);
      const isForced = this.#possible.isShutting(task) || moment.at - this.#open.since[task]! > waitMin;
      const run = runs.get(gun[task]!);
      runs.set(gun[task]!, {
        ...(run && run.key <= key ? run : { task, key }),
        count: 1 + (run?.count ?? 0),
        isForced: isForced || run?.isForced === true,
      });
    }
    let first: Choice | null = null;
    for (const [colour, { task, key, count, isForced }] of runs) {
      if (count < Math.min(leastRun, this.#unsprayed[colour]!) && !isForced) continue;
      const hastened = key - hasteMin * (count - 1);
      if (!first || hastened < first.key) first = { task, key: hastened };
    }
    return first;
  }

  /** Windows that shut soon come before everything. */
  #keyOf(task: number): number {
    return this.#possible.isShutting(task) ? this.#open.shuts[task]! - BEFORE_ALL : this.#keys[task]!;
  }

  #begin(task: number, who: number, at: number): void {
    const { gun, hands } = this.tasks;
    [this.#starts[task], this.#who[task]] = [at, who];
    this.#open.remove(task);
    this.#room.take(task, at);
    this.#sessions.free[who] = at + hands[task]!;
    this.#unsprayed[gun[task]!]!--;
    if (gun[task]! > 0) this.#gun = { colour: gun[task]!, by: who, sprayed: at + hands[task]! };
    for (const next of this.chains.after[task]!) if (--this.#left[next]! === 0) this.#open.add(next);
  }

  #isReady(task: number, at: number): boolean {
    return this.#left[task] === 0 && (this.tasks.gun[task] === 0 || (!this.#gun && at >= this.#gunFree));
  }

  #findAppointment(who: number, at: number) {
    const { can } = this.tasks;
    return this.#appointments.find(
      ({ task, at: appointed }) =>
        Number.isNaN(this.#starts[task]!) &&
        can[task * this.workshop.restorers.length + who] === 1 &&
        appointed >= at - 1,
    );
  }

  /** When something may be possible that is not now. */
  #findNextMoment({ who, at, end }: Moment): number {
    const { from } = this.#open;
    const { dry } = this.workshop;
    const day = dry[findFirst(dry.length, (i) => dry[i]!.from > at)];
    let next = Math.min(end > at ? end : Infinity, this.#room.findNextEnd(at), day?.from ?? Infinity);
    for (const task of this.#open.list) if (from[task]! > at && from[task]! < next) next = from[task]!;
    if (this.#gunFree > at) next = Math.min(next, this.#gunFree);
    this.#sessions.free.forEach((free, other) => {
      if (other !== who && free > at && free < next) next = free;
    });
    return next;
  }
}

const BEFORE_ALL = 1e7;
