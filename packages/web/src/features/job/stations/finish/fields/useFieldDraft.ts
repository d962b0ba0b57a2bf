import { closeField, snapToPart, type DrawingView, type Point } from '@sardonyx/core';
import { useMemo, useState } from 'react';

/** So near, mm, a point goes to what is drawn. */
const SNAP_MM = 1.2;

/** A field while it is drawn: a line of points on a view, and what it takes in so far. */
export function useFieldDraft(view: DrawingView | undefined, partKey: string) {
  const [line, setLine] = useState<readonly Point[]>([]);
  const snap = (at: Point) => (view ? snapToPart(view, partKey, at, SNAP_MM) : at);
  const field = useMemo(() => (view ? closeField(view, partKey, line) : null), [view, partKey, line]);
  return {
    ...{ line, field },
    add: (at: Point) => setLine((before) => [...before, snap(at)]),
    move: (index: number, at: Point) => setLine((before) => before.map((one, i) => (i === index ? at : one))),
    takeBack: () => setLine((before) => before.slice(0, -1)),
    clear: () => setLine([]),
  };
}

export type FieldDraft = ReturnType<typeof useFieldDraft>;
