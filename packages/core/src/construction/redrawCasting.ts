import { createBodyTypeDrawing } from '../drawing/createBodyTypeDrawing.ts';
import type { Drawing, DrawingView } from '../model/drawing.ts';
import type { Traces } from '../model/trace.ts';
import { drawTraced } from '../trace/drawTraced.ts';
import { drawCasting, fitDrawing, type CastingSize, type DrawnPart } from './drawCasting.ts';

/**
 * A drawing after its parts changed, whoever asks, view by view. One that was laid out from its parts, or from its kind of
 * vehicle, is laid out anew; one that somebody drew keeps what it has; what is traced is drawn from its
 * trace over what lies under it.
 */
export function redrawCasting(
  drawing: Drawing,
  size: CastingSize,
  before: readonly DrawnPart[],
  after: readonly DrawnPart[],
  traces: Traces = {},
): { readonly drawing: Drawing; readonly traces: Traces } {
  const { bodyType, lengthMm, wheelbaseMm } = size;
  const laidOut = [drawCasting(size, before), createBodyTypeDrawing(bodyType, lengthMm, wheelbaseMm)];
  const isLaidOut = (view: DrawingView) =>
    laidOut.some(({ views }) => views.some((other) => JSON.stringify(other) === JSON.stringify(view)));
  const anew = drawCasting(size, after);
  const redraw = (view: DrawingView): DrawingView =>
    isLaidOut(view)
      ? anew.views.find((other) => other.view === view.view)!
      : fitDrawing({ views: [view] }, size, after).views[0]!;
  const redrawn = Object.entries(traces).map(
    ([kind, trace]) => [kind, { ...trace, under: redraw(trace.under) }] as const,
  );
  const kept: Traces = Object.fromEntries(redrawn);
  const views = drawing.views.map((view) => {
    const trace = kept[view.view];
    return trace ? drawTraced(trace, trace.under, after) : redraw(view);
  });
  return { drawing: { views }, traces: kept };
}
