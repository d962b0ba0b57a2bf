import type { Span, Workshop } from '../workshop.ts';

/** Where everybody is in their sessions. */
export class SessionsNow {
  /** When each has their hands free. */
  readonly free: Float64Array;
  readonly #at: Int32Array;

  constructor(private readonly restorers: Workshop['restorers']) {
    this.free = new Float64Array(restorers.length);
    this.#at = new Int32Array(restorers.length);
  }

  /** Whoever can begin something first; null when no session is left. */
  findNext(): { who: number; at: number; end: number } | null {
    let next = null;
    for (let who = 0; who < this.free.length; who++) {
      const session = this.#present(who);
      const at = session && Math.max(this.free[who]!, session.from);
      if (at !== null && (!next || at < next.at)) next = { who, at, end: session!.to };
    }
    return next;
  }

  /** The session so many after the present one. */
  later(who: number, count: number): Span | null {
    return this.restorers[who]!.sessions[this.#at[who]! + count] ?? null;
  }

  /** Whether so many minutes of a session lie in one of these stretches. */
  hasRoom(who: number, spans: readonly Span[], since: number, minutes: number): boolean {
    const { sessions } = this.restorers[who]!;
    const last = since + spans.at(-1)!.to;
    for (let i = this.#at[who]!; i < sessions.length && sessions[i]!.from < last; i++)
      for (const { from, to } of spans) {
        const at = Math.max(sessions[i]!.from, since + from);
        if (at < since + to && at + minutes <= sessions[i]!.to) return true;
      }
    return false;
  }

  #present(who: number): Span | null {
    const { sessions } = this.restorers[who]!;
    while (this.#at[who]! < sessions.length && sessions[this.#at[who]!]!.to <= this.free[who]!) this.#at[who]!++;
    return sessions[this.#at[who]!] ?? null;
  }
}
