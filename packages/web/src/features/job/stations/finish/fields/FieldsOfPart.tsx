import { nameOfArea, type PaintOfParts, type SpecimenPart, type ViewKind } from '@sardonyx/core';
import { useEffect, useState } from 'react';
import { Toggles } from '../../../../../shared/ui/Toggles.tsx';
import { useJob } from '../../../JobContext.tsx';
import { AddArea } from './AddArea.tsx';
import { EdgesOfField } from './EdgesOfField.tsx';
import { FieldPicture } from './FieldPicture.tsx';
import { RedrawField } from './RedrawField.tsx';
import { useFieldDraft } from './useFieldDraft.ts';

interface FieldsOfPartProps {
  readonly part: SpecimenPart;
  /** In its planned colours. */
  readonly paint: PaintOfParts;
  readonly areaId: string | null;
  readonly onChoose: (areaId: string) => void;
}

/** What is being drawn: a new field, or the line of one by its id. */
type Drawn = { readonly of: string } | null;

const VIEW_WORDS: Readonly<Record<ViewKind, string>> = {
  side: 'from the side',
  base: 'from below',
  end: 'from the end',
};

/** The areas of the part in hand where they lie: press one to have its coats in hand, or draw another. */
export function FieldsOfPart({ part, paint, areaId, onChoose }: FieldsOfPartProps) {
  const { specimen, isClosed } = useJob();
  const [chosenView, setView] = useState<ViewKind>('side');
  const [begun, setBegun] = useState<Drawn>(null);
  const views = (specimen.casting?.casting.drawing.views ?? []).filter(({ shapes }) =>
    shapes.some((shape) => shape.partKey === part.key && !shape.hidden),
  );
  const view = views.find((one) => one.view === chosenView) ?? views[0];
  const draft = useFieldDraft(view, part.key);
  // A line that was begun for one field is not kept for another.
  const drawing = begun === null || begun.of === 'new' || begun.of === areaId ? begun : null;
  const inHand = specimen.areas.find(({ id, kind }) => id === areaId && kind === 'mask');
  // The new area is in hand as soon as it is there.
  const [awaited, setAwaited] = useState('');
  const added = specimen.areas.find((one) => nameOfArea(one) === awaited && one.specimenPartId === part.id)?.id;
  useEffect(() => {
    if (awaited === '' || added === undefined) return;
    setAwaited('');
    onChoose(added);
  }, [awaited, added, onChoose]);
  const begin = (of: string) => {
    draft.clear();
    setBegun({ of });
  };
  const stop = () => {
    draft.clear();
    setBegun(null);
  };
  const outline = view && draft.field ? { view: view.view, points: draft.field } : null;
  return (
    <section aria-label={`Areas of the ${part.name.toLowerCase()}`} className="space-y-2">
      {view && (
        <>
          <div className="flex flex-wrap items-center justify-between gap-2">
            <h3>{part.name}, in its planned colours</h3>
            {views.length > 1 && (
              <Toggles
                aria-label="Seen"
                value={view.view}
                options={views.map((one) => ({ value: one.view, label: VIEW_WORDS[one.view] }))}
                onChange={(next) => {
                  draft.clear();
                  setView(next);
                }}
              />
            )}
          </div>
          <FieldPicture {...{ part, view, paint, areaId, onChoose }} draft={drawing ? draft : null} />
        </>
      )}
      {inHand && drawing === null && <EdgesOfField area={inHand} part={part} />}
      {!isClosed && drawing === null && (
        <div className="flex flex-wrap gap-2">
          <button type="button" className="plain-button" onClick={() => begin('new')}>
            Another area on the {part.name.toLowerCase()}
          </button>
          {inHand && view && (
            <button type="button" className="quiet-button" onClick={() => begin(inHand.id)}>
              Draw the {nameOfArea(inHand)} anew
            </button>
          )}
        </div>
      )}
      {drawing && view && (
        <div className="space-y-1">
          <p>
            {draft.line.length < 2
              ? 'Press along its edge; points go to lines that are near. A line from outline to outline takes in the smaller side.'
              : draft.field
                ? 'What is tinted is the area.'
                : 'It takes nothing in yet: one point more, or end it on the outline.'}
          </p>
          {draft.line.length > 0 && (
            <button type="button" className="quiet-button" onClick={draft.takeBack}>
              Take the last point back
            </button>
          )}
        </div>
      )}
      {drawing?.of === 'new' && <AddArea part={part} outline={outline} onLeave={stop} onAdded={setAwaited} />}
      {drawing && drawing.of !== 'new' && inHand && (
        <RedrawField area={inHand} part={part} outline={outline} onLeave={stop} />
      )}
    </section>
  );
}
