import { computeVesselLitres, VESSEL_MATERIALS, type VesselRecord } from '@sardonyx/core';
import { useState } from 'react';
import { Fold } from '../../shared/ui/Fold.tsx';
import { Checkbox } from '../../shared/ui/Checkbox.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import type { AppError } from '../../shared/api/appError.ts';
import { createRow, deleteRow } from '../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';

const NEW = { name: '', material: 'HDPE', lengthMm: '', widthMm: '', depthMm: '', isRound: false };
/** Dishes and jars with their inside sizes: whether a part is covered follows from these. */
export function VesselList({ vessels }: { readonly vessels: readonly VesselRecord[] }) {
  const dispatch = useAppDispatch();
  const remove = (row: VesselRecord) => dispatch(deleteRow({ kind: 'vessels', row, label: `vessel ${row.name}` }));
  return (
    <section aria-label="Vessels" className="space-y-2">
      <h2>
        {vessels.length} {vessels.length === 1 ? 'vessel' : 'vessels'}
      </h2>
      <ul>
        {vessels.map((vessel) => (
          <li key={vessel.id} className="flex flex-wrap items-baseline gap-x-3 border-t border-hairline py-1">
            <strong>{vessel.name}</strong>
            <span>{vessel.material}</span>
            <span className="figure">
              {vessel.isRound ? `Ø ${vessel.lengthMm}` : `${vessel.lengthMm} × ${vessel.widthMm}`} × {vessel.depthMm}{' '}
              mm, {computeVesselLitres(vessel).toFixed(1)} l
            </span>
            <button
              type="button"
              className="quiet-button ml-auto"
              aria-label={`Take away: ${vessel.name}`}
              onClick={() => void remove(vessel)}
            >
              Take away
            </button>
          </li>
        ))}
      </ul>
      <AddVessel />
    </section>
  );
}

function AddVessel() {
  const dispatch = useAppDispatch();
  const [draft, setDraft] = useState(NEW);
  const [error, setError] = useState<AppError | null>(null);
  const add = async () => {
    const { lengthMm, widthMm, depthMm, isRound, ...rest } = draft;
    const body = {
      ...{ ...rest, isRound, lengthMm: Number(lengthMm), depthMm: Number(depthMm) },
      widthMm: Number(isRound ? lengthMm : widthMm),
    };
    const problem = await dispatch(
      createRow({ kind: 'vessels', body, label: `vessel ${draft.name}`, isShownInPlace: true }),
    ).unwrap();
    setError(problem);
    if (!problem) setDraft(NEW);
  };
  const field = (name: 'name' | 'lengthMm' | 'widthMm' | 'depthMm', word: string, width: string) => (
    <label key={name}>
      <span className="block text-note">{word}</span>
      <input
        style={{ width }}
        inputMode={name === 'name' ? 'text' : 'decimal'}
        value={draft[name]}
        onChange={(event) => setDraft({ ...draft, [name]: event.target.value })}
      />
    </label>
  );
  return (
    <Fold title="Write a vessel down">
      <div className="flex flex-wrap items-end gap-3 py-2">
        {field('name', 'Name', '12rem')}
        <Field label="Material" isQuiet width="10rem">
          <Select
            value={draft.material}
            options={VESSEL_MATERIALS}
            onChange={(value) => setDraft({ ...draft, material: value })}
          />
        </Field>
        <Checkbox checked={draft.isRound} onChange={(isChecked) => setDraft({ ...draft, isRound: isChecked })}>
          Round
        </Checkbox>
        {field('lengthMm', draft.isRound ? 'Inside diameter, mm' : 'Inside length, mm', '8rem')}
        {!draft.isRound && field('widthMm', 'Inside width, mm', '8rem')}
        {field('depthMm', 'Inside depth, mm', '8rem')}
        <button type="button" className="plain-button" onClick={() => void add()}>
          Put it on the shelf
        </button>
        {error && <ErrorNote error={error} onClose={() => setError(null)} />}
      </div>
    </Fold>
  );
}
