import type { CastingView } from '@sardonyx/contract';
import { changePart, completeBuild, drawCasting, redrawCasting, type BodyType } from '@sardonyx/core';
import { useMemo, useState } from 'react';
import { ExplodedMap, type PartOnMap } from '../../../shared/drawing/ExplodedMap.tsx';
import { ModelDrawing } from '../../../shared/drawing/ModelDrawing.tsx';
import { UndoIcon } from '../../../shared/ui/icons.ts';
import { AddPart } from './AddPart.tsx';
import { JointEditor } from './JointEditor.tsx';
import { PartInHand } from './PartInHand.tsx';
import type { DraftTools } from './useBuildDraft.ts';

interface BuildEditorProps {
  readonly tools: DraftTools;
  readonly size: { readonly bodyType: BodyType; readonly lengthMm: number; readonly wheelbaseMm: number };
  /** As it is kept: its drawing, and joints with ways that somebody may have written; null for a new one. */
  readonly kept: Pick<CastingView, 'casting' | 'parts' | 'joints'> | null;
  /** What does not fit, by its place: "joints.2.behind". */
  readonly faults: Readonly<Record<string, string>>;
}

/** Parts and joints of a casting, changed on its exploded drawing: the part that is pointed at is in hand. */
export function BuildEditor({ tools, size, kept, faults }: BuildEditorProps) {
  const { draft, change, takeBack } = tools;
  const { bodyType, lengthMm, wheelbaseMm } = size;
  const [chosen, setChosen] = useState<string | null>(null);
  const [openJoint, setOpenJoint] = useState<string | null>(null);
  const part = draft.parts.find(({ key }) => key === chosen) ?? draft.parts[0];
  const build = useMemo(() => completeBuild(draft.parts, draft.joints, kept?.joints), [draft, kept]);
  const view = useMemo(() => {
    const frame = { bodyType, lengthMm, wheelbaseMm };
    // A size that cannot be is said at its field; meanwhile the last that could is drawn on.
    if (!(wheelbaseMm > 0 && wheelbaseMm < lengthMm)) return null;
    const { views } = kept
      ? redrawCasting(kept.casting.drawing, frame, kept.parts, build.parts, kept.casting.traces).drawing
      : drawCasting(frame, build.parts);
    return views.find((one) => one.view === 'side')!;
  }, [bodyType, lengthMm, wheelbaseMm, kept, build.parts]);
  const onMap = useMemo(
    () =>
      build.parts.map(({ key, name, count, material }): PartOnMap => ({
        ...{ id: key, key, material, state: 'sound' },
        name: count > 1 ? `${count} × ${name}` : name,
      })),
    [build.parts],
  );
  return (
    <div className="grid gap-6 min-[1100px]:grid-cols-[minmax(0,42fr)_minmax(0,58fr)]">
      <div className="min-w-0 space-y-3 min-[1100px]:sticky min-[1100px]:top-2 min-[1100px]:self-start">
        {view && (
          <>
            <ExplodedMap
              view={view}
              held={build.joints}
              parts={onMap}
              paint={{}}
              chosenId={part?.key ?? null}
              onChoose={setChosen}
              joints={build.joints.map(({ partKeys }, i) => ({ partKeys, number: i + 1 }))}
              onJoint={(number) => setOpenJoint(build.joints[number - 1]?.key ?? null)}
            />
            <ModelDrawing
              view={view}
              paint={{}}
              parts={onMap}
              label="Put together, from the side"
              className="h-32 w-full border border-hairline bg-paper"
            />
          </>
        )}
        <p className="text-note text-soft-ink">
          Press a part to take it in hand. Figures on the lines are the joints on the right: press a line to change its
          joint. A part that nobody drew has a plain shape of its kind.
        </p>
        {takeBack && (
          <button type="button" className="plain-button" onClick={takeBack}>
            <UndoIcon aria-hidden size={18} /> Take the last change back
          </button>
        )}
      </div>
      <div className="min-w-0 space-y-6">
        {part && (
          <PartInHand
            key={part.key}
            part={part}
            draft={draft}
            onChange={change}
            onCount={(count) => change(changePart(draft, part.key, { count }))}
            onTake={setChosen}
          />
        )}
        <AddPart
          draft={draft}
          holder={part?.key ?? null}
          onAdd={(next) => {
            change(next);
            setChosen(next.parts.at(-1)!.key);
          }}
        />
        <JointEditor {...{ draft, build, faults }} open={openJoint} onOpen={setOpenJoint} onChange={change} />
      </div>
    </div>
  );
}
