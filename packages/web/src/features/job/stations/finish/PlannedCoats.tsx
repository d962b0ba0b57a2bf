import { refusePlace, sortPlanned, type CoatingLayer } from '@sardonyx/core';
import { useState } from 'react';
import { changeRow, deleteRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { OrderedList } from '../../../../shared/ui/OrderedList.tsx';
import { useJob } from '../../JobContext.tsx';
import { Dab } from '../../../../shared/ui/Dab.tsx';

interface PlannedCoatsProps {
  readonly areaName: string;
  readonly layers: readonly CoatingLayer[];
}

/** What is planned for an area, from the metal outwards; coats of one kind can change places. */
export function PlannedCoats({ areaName, layers }: PlannedCoatsProps) {
  const { isClosed } = useJob();
  const dispatch = useAppDispatch();
  const [refusal, setRefusal] = useState('');
  const coats = sortPlanned(layers);
  const move = (id: string, place: number) => {
    const problem = refusePlace(coats, id, place);
    setRefusal(problem?.message ?? '');
    if (problem) return;
    const from = coats.findIndex((coat) => coat.id === id);
    // Taken back, it goes to the place it had in this list, whatever its number was.
    const coat = { ...coats[from]!, seq: from };
    void dispatch(
      changeRow({
        kind: 'layers',
        row: coat,
        changes: { seq: place },
        label: `${coat.name}: ${place < from ? 'further in' : 'further out'}`,
      }),
    );
  };
  if (coats.length === 0) return null;
  return (
    <div>
      <p className="text-note text-soft-ink">Planned, from the metal outwards</p>
      <OrderedList
        label={`Planned for the ${areaName}`}
        isFixed={isClosed}
        onMove={move}
        items={coats.map((coat) => ({
          id: coat.id,
          name: coat.name,
          content: (
            <>
              <Dab colour={coat.colourHex} />
              <span className="min-w-0 flex-1">
                {coat.name}
                <span className="text-soft-ink">
                  {' '}
                  {coat.kind}, {coat.thicknessUm} µm ({coat.thicknessOrigin})
                </span>
              </span>
              {!isClosed && (
                <button
                  type="button"
                  className="quiet-button"
                  aria-label={`Remove ${coat.name}`}
                  onClick={() => void dispatch(deleteRow({ kind: 'layers', row: coat, label: `removed ${coat.name}` }))}
                >
                  Remove
                </button>
              )}
            </>
          ),
        }))}
      />
      {refusal && (
        <p role="alert" className="border-l-4 border-sard pl-3">
          {refusal}
        </p>
      )}
    </div>
  );
}
