import type { CastingView } from '@sardonyx/contract';
import type { Trace, TracedShape, ViewKind } from '@sardonyx/core';
import { useReducer } from 'react';

interface Draft {
  readonly steps: readonly Trace[];
  readonly at: number;
  /** Something was changed since it was saved. */
  readonly isChanged: boolean;
  /** The movement that made the last step. */
  readonly movement: string | null;
}

type Act =
  /** A movement that goes on is one step: what bears its name is written over. */
  | { readonly kind: 'set'; readonly trace: Trace; readonly movement: string | null }
  | { readonly kind: 'step'; readonly by: -1 | 1 }
  | { readonly kind: 'begin'; readonly trace: Trace };

const MOST_STEPS = 200;

/** What is being traced, with every step back to the beginning; kept in this browser until it is saved. */
export function useTraceDraft(view: CastingView, kind: ViewKind) {
  const key = `sardonyx.trace.${view.casting.id}.${kind}`;
  const saved = readSaved(view, kind) ?? createTrace(view, kind);
  const [{ steps, at, isChanged }, act] = useReducer(step, null, (): Draft => {
    const kept = readKept(key);
    return { steps: [kept ?? saved], at: 0, isChanged: kept !== null, movement: null };
  });
  const trace = steps[at]!;
  const keep = (next: Trace) => localStorage.setItem(key, JSON.stringify(next));
  const change = (next: Trace, movement: string | null = null) => {
    act({ kind: 'set', trace: next, movement });
    keep(next);
  };
  const stepBy = (by: -1 | 1) => {
    const next = steps[at + by];
    if (!next) return null;
    return () => {
      act({ kind: 'step', by });
      keep(next);
    };
  };
  return {
    trace,
    isChanged,
    change,
    changeShape: (index: number, changes: Partial<TracedShape>, movement: string | null = null) =>
      change(
        { ...trace, shapes: trace.shapes.map((shape, i) => (i === index ? { ...shape, ...changes } : shape)) },
        movement,
      ),
    undo: stepBy(-1),
    redo: stepBy(1),
    /** It is on the server now, or is not wanted. */
    settle: (now: Trace | null) => {
      localStorage.removeItem(key);
      act({ kind: 'begin', trace: now ?? createTrace(view, kind) });
    },
  };
}

function step({ steps, at, movement }: Draft, act: Act): Draft {
  if (act.kind === 'step') return { steps, at: at + act.by, isChanged: true, movement: null };
  if (act.kind === 'begin') return { steps: [act.trace], at: 0, isChanged: false, movement: null };
  const isGoingOn = act.movement !== null && act.movement === movement;
  const before = steps.slice(0, isGoingOn ? at : at + 1).slice(-MOST_STEPS);
  return { steps: [...before, act.trace], at: before.length, isChanged: true, movement: act.movement };
}

function readSaved({ casting }: CastingView, kind: ViewKind): Trace | null {
  const kept = casting.traces[kind];
  return kept ? withoutUnder(kept) : null;
}

const withoutUnder = ({ under: _, ...trace }: Trace & { readonly under: unknown }): Trace => trace;

/** Nothing traced yet, as large as the drawing that is there. */
function createTrace({ casting }: CastingView, kind: ViewKind): Trace {
  const drawn = casting.drawing.views.find(({ view }) => view === kind);
  const { widthMm, heightMm } = drawn ?? { widthMm: casting.lengthMm, heightMm: casting.lengthMm / 2 };
  const anchors = drawn?.anchors ?? [];
  const nothing = { underAt: { x: 0, y: 0 }, photo: null, shapes: [], artwork: [], joints: [] };
  return { view: kind, widthMm, heightMm, ...nothing, anchors };
}

/** What cannot be read any more must not keep the page from opening. */
function readKept(key: string): Trace | null {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? 'null') as Trace | null;
    const isWhole = [kept?.shapes, kept?.anchors, kept?.artwork].every(Array.isArray);
    return kept && isWhole ? { ...kept, underAt: kept.underAt ?? { x: 0, y: 0 }, joints: kept.joints ?? [] } : null;
  } catch {
    return null;
  }
}
