import { ORIGINS, WANT_STATES, type Want, type WantState } from '@sardonyx/core';
import { useState } from 'react';
import { Sign, type SignName } from '../../../../shared/ui/Sign.tsx';
import { Field } from '../../../../shared/ui/Field.tsx';
import { Select } from '../../../../shared/ui/Select.tsx';
import type { AppError } from '../../../../shared/api/appError.ts';
import { changeRow } from '../../../../shared/edits/editRow.ts';
import { formatDay } from '../../../../shared/dates/sayDates.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { useJob } from '../../JobContext.tsx';
import { WANT_KIND_OPTIONS, WAY_TO_GET_OPTIONS } from '../../../../shared/form/wantOptions.ts';
import { DateField } from '../../../../shared/ui/DateField.tsx';

const MARKS: Readonly<Record<WantState, SignName>> = {
  open: 'open',
  ordered: 'begun',
  solved: 'done',
  waived: 'left out',
};

/** Everything missing or broken, visible until it is solved or waived with a reason. */
export function WantList() {
  const { specimen } = useJob();
  if (specimen.wants.length === 0) return null;
  return (
    <section aria-label="Wants">
      <h2 className="mb-1">Wants</h2>
      <ul>
        {specimen.wants.map((want) => (
          <WantLine key={want.id} want={want} />
        ))}
      </ul>
    </section>
  );
}

function WantLine({ want }: { readonly want: Want }) {
  const { isClosed } = useJob();
  const [isEdited, setEdited] = useState(false);
  const text = want.state === 'waived' ? want.reason : want.solution;
  return (
    <li className="border-t border-hairline py-2">
      <div className="flex items-baseline gap-3">
        <Sign of={MARKS[want.state]} />
        <span className="grow">
          <strong>{want.what}</strong>
          {want.dependentBits && ` with ${want.dependentBits}`}: {want.state}
          {text && `, ${text}`}
          {want.dueOn && `, due ${formatDay(want.dueOn)}`}
        </span>
        {!isClosed && (
          <button type="button" className="quiet-button" aria-expanded={isEdited} onClick={() => setEdited(!isEdited)}>
            {isEdited ? 'Fold' : `Change`}
            <span className="sr-only"> {want.what}</span>
          </button>
        )}
      </div>
      {isEdited && <WantForm want={want} onSaved={() => setEdited(false)} />}
    </li>
  );
}

function WantForm({ want, onSaved }: { readonly want: Want; readonly onSaved: () => void }) {
  const dispatch = useAppDispatch();
  const [draft, setDraft] = useState({
    state: want.state,
    solution: want.solution,
    reason: want.reason,
    kind: want.kind,
    getBy: want.getBy,
    origin: want.origin,
    dueOn: want.dueOn,
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
        <label>
          Reason, for the record
          <input value={draft.reason} onChange={(event) => setDraft({ ...draft, reason: event.target.value })} />
        </label>
      ) : (
        <label>
          From where, or how
          <input value={draft.solution} onChange={(event) => setDraft({ ...draft, solution: event.target.value })} />
        </label>
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
    </div>
  );
}
