import type { CastingView } from '@sardonyx/contract';
import type { Trace } from '@sardonyx/core';
import { SURFACE_WORDS } from './traceWords.ts';

interface LineListProps {
  readonly view: CastingView;
  readonly trace: Trace;
  /** Index of the line in hand. */
  readonly at: number;
  readonly onChoose: (index: number) => void;
  readonly onMoveBack: (index: number) => void;
}

/** What is traced so far, back to front, and which parts are not. */
export function LineList({ view, trace, at, onChoose, onMoveBack }: LineListProps) {
  const nameOf = new Map(view.parts.map(({ key, name }) => [key, name]));
  return (
    <>
      {trace.shapes.length > 0 && (
        <ol aria-label="Lines, back to front" className="border border-hairline bg-sheet">
          {trace.shapes.map(({ partKey, surface, area }, i) => (
            <li key={i} className="flex items-center border-b border-hairline last:border-b-0">
              <button
                type="button"
                aria-current={i === at}
                className={`min-h-11 grow border-l-4 px-3 text-left ${i === at ? 'border-l-sard font-semibold' : 'border-l-transparent'}`}
                onClick={() => onChoose(i)}
              >
                {nameOf.get(partKey) ?? 'a part that is gone'}, {area || SURFACE_WORDS[surface]}
              </button>
              {i > 0 && (
                <button type="button" className="quiet-button" onClick={() => onMoveBack(i)}>
                  Further back
                </button>
              )}
            </li>
          ))}
        </ol>
      )}
      <NotTraced view={view} trace={trace} />
    </>
  );
}

function NotTraced({ view, trace }: { readonly view: CastingView; readonly trace: Trace }) {
  const done = new Set([...trace.shapes, ...trace.artwork].map(({ partKey }) => partKey));
  const left = view.parts.filter(({ key }) => !done.has(key));
  if (left.length === 0) return <p>Every part is traced on this view.</p>;
  return (
    <p className="text-soft-ink">Not traced: {left.map(({ name }) => name).join(', ')}. They are drawn as they were.</p>
  );
}
