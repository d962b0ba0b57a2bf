import type { IdentifyMeasure, Measurement } from '@sardonyx/core';
import { useState, type FormEvent } from 'react';
import { changeRow, createRow, deleteRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { useJob } from '../../JobContext.tsx';

/** A careful reading with calipers scatters by this much (planning estimate). */
const CALIPER_SPREAD_MM = 0.1;

/** For a model without a number: sizes narrow the castings down. */
export function Sizes({ measures }: { readonly measures: readonly IdentifyMeasure[] }) {
  if (measures.length === 0) return null;
  return (
    <section aria-label="Sizes">
      <h2 className="mb-1">No number to be seen? Measure it</h2>
      <div className="grid gap-4 sm:grid-cols-2">
        {measures.map((measure) => (
          <Size key={measure.id} measure={measure} />
        ))}
      </div>
      <p className="mt-1 text-note text-soft-ink">
        Reckoned with ± {CALIPER_SPREAD_MM} mm for the calipers and ± {measures[0]!.toleranceMm} mm from one casting to
        the next (planning estimates). Numbers hide inside the cab roof, under the seat, behind the axles and on the
        inside of the base.
      </p>
    </section>
  );
}

function Size({ measure }: { readonly measure: IdentifyMeasure }) {
  const { specimen, isClosed } = useJob();
  const dispatch = useAppDispatch();
  const row = specimen.measurements.find((one) => one.what === measure.id);
  const [text, setText] = useState(row ? String(row.valueMm) : '');
  const value = Number(text.replace(',', '.'));
  const isWrong = text.trim() !== '' && !(value >= 1 && value <= 600);
  const save = (event: FormEvent) => {
    event.preventDefault();
    if (isWrong) return;
    const label = `${measure.label}: ${text} mm`;
    if (text.trim() === '') {
      if (row) void dispatch(deleteRow({ kind: 'measurements', row, label }));
    } else if (row) {
      if (row.valueMm !== value)
        void dispatch(changeRow({ kind: 'measurements', row, changes: { valueMm: value }, label }));
    } else {
      const body = { specimenId: specimen.specimen.id, what: measure.id as Measurement['what'], valueMm: value };
      void dispatch(createRow({ kind: 'measurements', body: { ...body, spreadMm: CALIPER_SPREAD_MM }, label }));
    }
  };
  return (
    <form onSubmit={save}>
      <label className="block">
        <span className="font-semibold">{measure.label}, mm</span>
        <input
          inputMode="decimal"
          value={text}
          disabled={isClosed}
          aria-invalid={isWrong}
          onChange={(event) => setText(event.target.value)}
          onBlur={save}
        />
      </label>
      <span className="text-note text-soft-ink">{isWrong ? 'A number of mm from 1 to 600.' : measure.howToLook}</span>
    </form>
  );
}
