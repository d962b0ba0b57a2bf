import { findWithin } from '../findWithin.ts';
import type { Workshop } from '../workshop.ts';
import type { CompiledTasks } from './compileTasks.ts';
import type { DispatchRule } from './dispatchRule.ts';
import type { OpenTasks } from './openTasks.ts';
import type { RoomNow } from './roomNow.ts';
import type { SessionsNow } from './sessionsNow.ts';

/** Somebody has their hands free. */
export interface Moment {
  readonly who: number;
  readonly at: number;
  /** By then everything must be done that needs them. */
  readonly end: number;
}

/** What can be begun at a moment of a plan that is being made forward in time, and what must be. */
export class PossibleNow {
  constructor(
    private readonly workshop: Workshop,
    private readonly tasks: CompiledTasks,
    private readonly rule: DispatchRule,
    private readonly now: { readonly open: OpenTasks; readonly room: RoomNow; readonly sessions: SessionsNow },
  ) {}

  /** Whether it must be now, because too few sessions are left before its window shuts. */
  isShutting(task: number): boolean {
    const shuts = this.now.open.shuts[task]!;
    return (
      shuts < Infinity &&
      this.workshop.tasks[task]!.who.every((who) => {
        const session = this.now.sessions.later(who, this.rule.sessionsAhead);
        return !session || session.to >= shuts;
      })
    );
  }

  isPossible(task: number, { who, at, end }: Moment): boolean {
    const { can, present, hands, bound, appointed } = this.tasks;
    if (can[task * this.workshop.restorers.length + who] === 0 || at + present[task]! > end) return false;
    if (!this.now.open.isOpen(task, at) || !this.now.room.isFree(task, at)) return false;
    const leftTo = this.rule.leftTo[task]!;
    if (appointed[task]! > at || (leftTo >= 0 && leftTo !== who)) return false;
    if (this.workshop.tasks[task]!.isDry && findWithin(this.workshop.dry, at, hands[task]!) > at) return false;
    return bound[task]!.length === 0 || this.#canBeFollowed(task, at);
  }

  /** Nothing is begun that must be followed when nobody is there. */
  #canBeFollowed(task: number, at: number): boolean {
    const { watchedMin } = this.workshop.tasks[task]!;
    const done = at + this.tasks.hands[task]! + watchedMin;
    return this.tasks.bound[task]!.every((next) =>
      this.workshop.tasks[next.task]!.who.some((who) =>
        this.now.sessions.hasRoom(who, next.spans, done, this.tasks.present[next.task]!),
      ),
    );
  }
}
