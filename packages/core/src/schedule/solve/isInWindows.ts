import { computeDoneMin, type Span, type WorkPlan, type Workshop } from './workshop.ts';

export const isIn = (spans: readonly Span[], at: number): boolean =>
  spans.some(({ from, to }) => from <= at && at < to);

/** Whether a task begins inside the windows of all that goes before it. */
export function isInWindows({ tasks }: Workshop, starts: WorkPlan['starts'], index: number): boolean {
  const { within, after } = tasks[index]!;
  return (
    isIn(within, starts[index]!) &&
    after.every(({ task, spans }) => isIn(spans, starts[index]! - computeDoneMin(tasks[task]!, starts[task]!)))
  );
}
