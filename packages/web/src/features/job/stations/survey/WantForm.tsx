import { ORIGINS, WANT_STATES, type Want } from '@sardonyx/core';
import { useState } from 'react';
import type { AppError } from '../../../../shared/api/appError.ts';
import { changeRow } from '../../../../shared/edits/editRow.ts';
import { readOptional } from '../../../../shared/form/readNumber.ts';
import { WANT_KIND_OPTIONS, WAY_TO_GET_OPTIONS } from '../../../../shared/form/wantOptions.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { DateField } from '../../../../shared/ui/DateField.tsx';
import { Field } from '../../../../shared/ui/Field.tsx';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { Select } from '../../../../shared/ui/Select.tsx';
import { BitsEditor } from './BitsEditor.tsx';
import { TakeFromDrawer } from './TakeFromDrawer.tsx';

/** What becomes of a want: how it is come by, where from, what it cost, and the small bits it cannot be fitted without. */
export function WantForm({ want, onSaved }: { readonly want: Want; readonly onSaved: () => void }) {
  const dispatch = useAppDispatch();
  const [draft, setDraft] = useState({
    state: want.state,
    solution: want.solution,
    reason: want.reason,
    kind: want.kind,
    getBy: want.getBy,
    origin: want.origin,
    dueOn: want.dueOn,
    price: want.price,
    bits: want.bits,
  });
  const [error, setError] = useState<AppError | null>(null);
  const save = async () => {
    const changes = Object.fromEntries(
      Object.entries(draft).filter(([field, value]) => want[field as keyof typeof draft] !== value),
    );
    const problem = await dispatch(
      changeRow({ kind: 'wants', row: want, changes, label: `${want.what}: ${draft.state}`, isShownInPlace: true }),
    ).unwrap();
    setError(problem);
    if (!problem) onSaved();
  };
  return (
    <div className="grid gap-3 py-2 pl-6 sm:grid-cols-2">
      <Field label="State">
        <Select value={draft.state} options={WANT_STATES} onChange={(value) => setDraft({ ...draft, state: value })} />
      </Field>
      {draft.state === 'waived' ? (
        <Field label="Reason, for the record" error={error?.fields?.reason}>
          <input value={draft.reason} onChange={(event) => setDraft({ ...draft, reason: event.target.value })} />
        </Field>
      ) : (
        <Field label="From where, or how" error={error?.fields?.solution}>
          <input value={draft.solution} onChange={(event) => setDraft({ ...draft, solution: event.target.value })} />
        </Field>
      )}
      {draft.state === 'solved' && (
        <Field label="It is">
          <Select
            value={draft.origin ?? undefined}
            placeholder="say where it came from"
            options={ORIGINS.filter((origin) => origin !== 'unknown')}
            onChange={(value) => setDraft({ ...draft, origin: value })}
          />
        </Field>
      )}
      <Field label="Kind">
        <Select value={draft.kind} options={WANT_KIND_OPTIONS} onChange={(kind) => setDraft({ ...draft, kind })} />
      </Field>
      <Field label="Come by it">
        <Select value={draft.getBy} options={WAY_TO_GET_OPTIONS} onChange={(getBy) => setDraft({ ...draft, getBy })} />
      </Field>
      {draft.state === 'ordered' && (
        <Field label="Due on">
          <DateField value={draft.dueOn ?? ''} onChange={(day) => setDraft({ ...draft, dueOn: day || null })} />
        </Field>
      )}
      {draft.state === 'solved' && (
        <Field label="What it cost" hint="Empty where nobody knows." error={error?.fields?.price}>
          <input
            inputMode="decimal"
            defaultValue={want.price === null ? '' : String(want.price)}
            onChange={(event) => setDraft({ ...draft, price: readOptional(event.target.value) })}
          />
        </Field>
      )}
      <div className="sm:col-span-2">
        <BitsEditor bits={draft.bits} onChange={(bits) => setDraft({ ...draft, bits })} />
      </div>
      <div className="sm:col-span-2">
        <button type="button" className="plain-button" onClick={() => void save()}>
          Save the want
        </button>
      </div>
      {error && (
        <div className="sm:col-span-2">
          <ErrorNote error={error} />
        </div>
      )}
      <div className="sm:col-span-2">
        <TakeFromDrawer want={want} />
      </div>
    </div>
  );
}
