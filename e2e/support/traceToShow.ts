import type { CastingView } from '@sardonyx/contract';
import type { DrawingShape, TracedShape, TraceNode } from '@sardonyx/core';
import type { Page } from 'playwright-core';

const CASTING = 'mobile-library';
/** The bench card lies under the model in the demo's pictures: this far from the drawing's corner. */
const CARD_BELOW_MM = 10;
const CARD_WIDE_MM = 85;

/** The side of SG-03's casting with its panes and wheels traced over its photograph, where nothing is traced yet. */
export async function haveTrace(page: Page): Promise<void> {
  const address = new URL(page.url()).origin;
  const { casting } = (await (await page.request.get(`${address}/api/castings/${CASTING}`)).json()) as CastingView;
  if (casting.traces.side) return;
  const view = casting.drawing.views.find((one) => one.view === 'side')!;
  const { widthMm, heightMm, anchors } = view;
  const photo = {
    ...{ photoId: 'sg-03.before-left', a: 1, b: 0, isMirrored: false },
    ...{ dx: widthMm / 2 - CARD_WIDE_MM / 2, dy: heightMm + CARD_BELOW_MM },
  };
  const shapes = view.shapes.flatMap((shape) => traceOf(shape) ?? []);
  const trace = { widthMm, heightMm, underAt: { x: 0, y: 0 }, photo, shapes, artwork: [], anchors, joints: [] };
  await page.request.put(`${address}/api/castings/${CASTING}/traces/side`, {
    data: { version: casting.version, trace },
  });
}

function traceOf({ partKey, surface, box: [left, top, right, bottom] }: DrawingShape): TracedShape | null {
  const node = (x: number, y: number): TraceNode => ({ x, y, bend: 'corner' });
  const plain = { partKey, area: '', isMirrored: false };
  const middle = { x: (left + right) / 2, y: (top + bottom) / 2 };
  if (surface === 'rubber')
    return {
      ...{ ...plain, surface, line: 'circle' },
      nodes: [node(left, middle.y), node(middle.x, top), node(right, middle.y)],
    };
  if (surface !== 'glass') return null;
  return {
    ...plain,
    surface,
    line: 'outline',
    nodes: [node(left, top), node(right, top), node(right, bottom), node(left, bottom)],
  };
}
