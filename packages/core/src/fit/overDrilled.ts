import { THREAD_NAMES, THREADS, type Thread } from '../model/thread.ts';
import { LEAST_WALL, planPost, type PostPlan, type PostSizes } from './post.ts';
import { computeThreadPercent } from './threads.ts';

/** What brings a post back that was drilled too wide, with its minutes (planning estimates). */
export const WIDE_WAYS = { 'still holds': 0, 'next thread': 10, bush: 35, 'fill and tap again': 45 } as const;
export type WideWay = keyof typeof WIDE_WAYS;

export interface WideOption {
  readonly way: WideWay;
  readonly minutes: number;
  /** How it is drilled and closed then. */
  readonly plan: PostPlan;
  /** Share of the full thread in the hole that is there, percent; null where it is made anew. */
  readonly percent: number | null;
  /** Outside of the bush, mm; null without one. */
  readonly bush: number | null;
}

/** Less than this of a full thread strips in zinc (planning estimate). */
const LEAST_PERCENT = 50;
/** A tap in a hole that leaves more than this breaks (planning estimate). */
const MOST_PERCENT = 80;
/** Tube around a thread, mm (planning estimate). */
const BUSH_WALL = 0.5;

/**
 * What is open for a hole that is wider than its thread asks for, the least work first: tapped as it is while enough of the thread is
 * left, the next thread where the post bears it, a bush, or filled and drilled anew.
 *
 * @param hole as it was drilled, mm
 */
export function listWideOptions(hole: number, thread: Thread, post: PostSizes): WideOption[] {
  const asItIs = computeThreadPercent(thread, hole);
  if (asItIs >= LEAST_PERCENT)
    return [{ way: 'still holds', minutes: 0, plan: planPost(thread, post), percent: asItIs, bush: null }];
  const larger = THREAD_NAMES.filter((name) => THREADS[name].diameter > THREADS[thread].diameter)
    .sort((a, b) => THREADS[a].diameter - THREADS[b].diameter)
    .map((name) => ({ plan: planPost(name, post), percent: computeThreadPercent(name, hole) }))
    // A hole that is too small for it is opened up: then it is as its own drill leaves it.
    .map(({ plan, percent }) => ({ plan, percent: percent > MOST_PERCENT ? plan.percent : percent }))
    .filter(({ plan, percent }) => plan.faults.length === 0 && percent >= LEAST_PERCENT);
  const bush = Math.max(hole, THREADS[thread].diameter + 2 * BUSH_WALL);
  const plan = planPost(thread, post);
  const minutes = (way: WideWay) => ({ way, minutes: WIDE_WAYS[way] });
  return [
    ...larger.slice(0, 1).map((one) => ({ ...minutes('next thread'), ...one, bush: null })),
    ...((post.diameter - bush) / 2 >= LEAST_WALL ? [{ ...minutes('bush'), plan, percent: null, bush }] : []),
    { ...minutes('fill and tap again'), plan, percent: null, bush: null },
  ];
}
