import { THREAD_NAMES, THREADS, type Thread } from '../model/thread.ts';
import { LEAST_WALL } from './post.ts';
import { atLeast, type Reading } from './reading.ts';

/** A pilot hole that was drilled beside the middle of its post. */
export interface OffPilot {
  /** Outside of the post. */
  readonly post: Reading;
  /** From the middle of the post to the middle of the hole, as it was measured. */
  readonly offset: Reading;
  /** Of the hole that is there, mm. */
  readonly hole: number;
}

/**
 * Where the thinnest wall will be when the hole is opened where it is. An offset that is measured with an error is longer, on the
 * whole, than it is: sqrt(e^2 - u^2) is left, and nothing where the error is larger.
 */
export function computeThinWall({ post, offset }: Pick<OffPilot, 'post' | 'offset'>, diameter: number): Reading {
  const off = Math.sqrt(Math.max(0, offset.mm ** 2 - offset.sd ** 2));
  return { mm: (post.mm - diameter) / 2 - off, sd: Math.hypot(post.sd / 2, offset.sd) };
}

/** What can be done about it, with its minutes (planning estimates). */
export const PILOT_WAYS = {
  go: 0,
  'measure better': 5,
  'smaller thread': 5,
  'lean back': 10,
  sleeve: 35,
  fill: 45,
} as const;
export type PilotWay = keyof typeof PILOT_WAYS;

export interface PilotOption {
  readonly way: PilotWay;
  readonly minutes: number;
  /** The thread that is cut; null where that is decided after it. */
  readonly thread: Thread | null;
  /** What stays of the wall on the thin side; null where the hole moves or is made anew. */
  readonly wall: Reading | null;
}

/** A sleeve is a tube of so much wall around the thread, mm (planning estimate). */
const SLEEVE_WALL = 0.5;
/** A hole is leant back while it is still so much smaller than what follows, mm (planning estimate). */
const LEAN_ROOM = 0.4;

/**
 * What is open for a pilot that is off the middle, the least work first. "Go" only where the wall, less what the readings leave open,
 * is thick enough; where only that stands in the way, measuring better is offered beside what helps anyhow.
 */
export function listPilotOptions(pilot: OffPilot, thread: Thread): PilotOption[] {
  const wallOf = (name: Thread) => computeThinWall(pilot, THREADS[name].diameter);
  const wall = wallOf(thread);
  const isSafe = (one: Reading) => atLeast(one) >= LEAST_WALL;
  const option = (way: PilotWay, changes: Partial<PilotOption> = {}): PilotOption => ({
    ...{ way, minutes: PILOT_WAYS[way], thread, wall: null },
    ...changes,
  });
  if (isSafe(wall)) return [option('go', { wall })];
  const smaller = THREAD_NAMES.filter(
    (name) =>
      THREADS[name].diameter < THREADS[thread].diameter && THREADS[name].diameter > pilot.hole && isSafe(wallOf(name)),
  ).sort((a, b) => THREADS[b].diameter - THREADS[a].diameter);
  const around = (pilot.post.mm - THREADS[thread].diameter) / 2 - SLEEVE_WALL;
  return [
    ...(wall.mm >= LEAST_WALL ? [option('measure better', { wall })] : []),
    ...smaller.slice(0, 1).map((name) => option('smaller thread', { thread: name, wall: wallOf(name) })),
    ...(pilot.hole + LEAN_ROOM <= THREADS[thread].diameter ? [option('lean back')] : []),
    ...(around >= LEAST_WALL ? [option('sleeve')] : []),
    option('fill'),
  ].sort((a, b) => a.minutes - b.minutes);
}
