import { computeDoneMin, type Span, type Workshop, type WorkPlan, type WorkTask } from './workshop.ts';

/**
 * The first window from a moment on in which a task may begin by all that goes before it, which has its place already; null where the last
 * one has shut. `evenLate`: as if none ever shut.
 */
export function findWindow(
  { tasks }: Workshop,
  starts: WorkPlan['starts'],
  { after, within }: WorkTask,
  moment: number,
  evenLate = false,
): Span | null {
  let [at, to] = [moment, Infinity];
  for (let i = -1; i < after.length; i++) {
    const link = after[i];
    const done = link ? computeDoneMin(tasks[link.task]!, starts[link.task]!) : 0;
    const spans = link ? link.spans : within;
    const span = spans.find((one) => done + one.to > at) ?? (evenLate ? spans.at(-1) : undefined);
    if (!span) return null;
    if (done + span.from > at) {
      // What was looked at before may have a gap there.
      [at, to] = [done + span.from, Infinity];
      i = -2;
    } else to = Math.min(to, done + span.to);
  }
  return { from: at, to };
}
