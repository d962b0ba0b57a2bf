import type { CastingView } from '@sardonyx/contract';
import { fitTrace, type Trace, type ViewKind } from '@sardonyx/core';
import { useWriteTraceMutation } from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { AlertDialog } from '../../../shared/ui/AlertDialog.tsx';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import type { useTraceDraft } from './useTraceDraft.ts';

interface KeepTraceProps {
  readonly view: CastingView;
  readonly kind: ViewKind;
  readonly draft: ReturnType<typeof useTraceDraft>;
}

/** What was traced becomes the casting's view, also half done; the construction's own comes back at any time. */
export function KeepTrace({ view: { casting }, kind, draft }: KeepTraceProps) {
  const [write, { error, isLoading, isSuccess }] = useWriteTraceMutation();
  const save = async (trace: Trace | null) => {
    const fitted = trace && fitTrace(trace);
    const body = { version: casting.version, trace: fitted && asRequest(fitted) };
    const { data } = await write({ id: casting.id, view: kind, body });
    if (data) draft.settle(fitted);
  };
  const isEmpty = draft.trace.shapes.length === 0 && draft.trace.artwork.length === 0;
  return (
    <div className="space-y-2 border-t border-strong-line pt-3">
      <div className="flex flex-wrap items-center gap-4">
        <button
          type="button"
          className="main-button"
          disabled={isLoading || !draft.isChanged || isEmpty}
          onClick={() => void save(draft.trace)}
        >
          Draw the casting so
        </button>
        {draft.isChanged ? (
          <span className="text-soft-ink">Not saved yet; kept in this browser.</span>
        ) : (
          isSuccess && <span role="status">The casting is drawn so.</span>
        )}
      </div>
      {casting.traces[kind] && (
        <AlertDialog
          offer="Draw it from its construction again"
          warning="What was traced of this view goes, and this cannot be undone."
          act="Draw it from its construction"
          onAct={() => void save(null)}
        />
      )}
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </div>
  );
}

/** Without the name of the view, which stands in the address. */
function asRequest({ view: _, ...trace }: Trace) {
  return {
    ...trace,
    underAt: { ...trace.underAt },
    photo: trace.photo && { ...trace.photo },
    shapes: trace.shapes.map((shape) => ({ ...shape, nodes: shape.nodes.map((node) => ({ ...node })) })),
    artwork: [...trace.artwork],
    anchors: trace.anchors.map((anchor) => ({ ...anchor })),
    joints: trace.joints.map((place) => ({ ...place })),
  };
}
