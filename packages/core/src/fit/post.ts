import { THREADS, type Thread } from '../model/thread.ts';
import { chooseTapHole, HAND_TAP_PERCENT, type TapHole } from './threads.ts';

/** Left around a thread, mm (planning estimate). */
export const LEAST_WALL = 0.4;
/** Left of the roof above a blind hole, mm (planning estimate). */
const LEAST_ROOF = 0.5;
/** Full thread that holds in zinc, diameters. */
const ENGAGEMENT = { least: 1.5, most: 2 } as const;
/** A bottoming tap cuts no full thread with its first turns: pitches (planning estimate). */
const TAP_LEAD = 2.5;
/** Differences of decimal numbers are off by less, mm. */
const ROUNDING = 1e-9;
/** A screw ends so far above the ground of its hole, mm. */
const ABOVE_GROUND = 0.5;

export interface PostSizes {
  /** Outside of the post, mm. */
  readonly diameter: number;
  /** From its end to the face of the roof that is seen, mm. */
  readonly toRoof: number;
  /** Thickness of what the screw goes through before the post, mm. */
  readonly floor: number;
}

export type PostFault = 'wall' | 'roof' | 'engagement';

/** How a post is drilled, tapped and closed. */
export interface PostPlan extends TapHole {
  readonly thread: Thread;
  /** Around the thread, mm. */
  readonly wall: number;
  /** From the end of the post to the ground of the hole: where the depth stop sits, mm. */
  readonly depth: number;
  /** Metal between the ground of the hole and the face that is seen, mm. */
  readonly roof: number;
  /** Full thread in the post, mm. */
  readonly fullThread: number;
  /** Shortest and longest screw that will do, under its head, mm. */
  readonly screw: { readonly least: number; readonly most: number };
  /** What speaks against it; with none of them it holds. */
  readonly faults: readonly PostFault[];
}

/** Bit, depth stop and screw for a thread in a post: full thread for twice its diameter, or as far as the roof allows. */
export function planPost(thread: Thread, post: PostSizes, percent: number = HAND_TAP_PERCENT): PostPlan {
  const { diameter, pitch } = THREADS[thread];
  const lead = TAP_LEAD * pitch;
  const depth = Math.max(0, Math.min(ENGAGEMENT.most * diameter + lead, post.toRoof - LEAST_ROOF));
  const fullThread = Math.max(0, depth - lead);
  const wall = (post.diameter - diameter) / 2;
  const screw = {
    least: post.floor + ENGAGEMENT.least * diameter,
    most: post.floor + Math.min(fullThread, depth - ABOVE_GROUND),
  };
  const faults = {
    wall: wall < LEAST_WALL - ROUNDING,
    roof: post.toRoof < LEAST_ROOF,
    engagement: screw.most < screw.least - ROUNDING,
  };
  return {
    ...{ ...chooseTapHole(thread, percent), thread, wall, depth, roof: post.toRoof - depth, fullThread, screw },
    faults: (Object.keys(faults) as PostFault[]).filter((fault) => faults[fault]),
  };
}
