/** By what a dispatcher chooses whenever somebody is free (a composite dispatching rule, Pinedo, Scheduling, ch. 14). */
export interface DispatchRule {
  /** By job, minutes: it is worked on as if it were promised by then. The search moves these, not the promises. */
  readonly due: readonly number[];
  /** How many times the time from a task to the end of its job is taken from that. */
  readonly tailShare: number;
  /** A colour goes into the gun for so many sprays at least ... */
  readonly leastRun: number;
  /** ... unless one of them has waited for so many minutes, or its window shuts. */
  readonly waitMin: number;
  /** By so many minutes each further spray of a colour hastens it. */
  readonly hasteMin: number;
  /** Minutes that somebody idles for the next spray of the colour in the gun rather than cleaning it. */
  readonly idleMin: number;
  /** A window that shuts before so many more sessions of everybody who could is looked to first. */
  readonly sessionsAhead: number;
  /** By task, minutes by which it comes sooner or later than its job's turn. */
  readonly shift: readonly number[];
  /** By task: not before this minute, though it could be. */
  readonly putOff: readonly number[];
  /** By task: left to this restorer; -1 to whoever is free first. */
  readonly leftTo: readonly number[];
}
