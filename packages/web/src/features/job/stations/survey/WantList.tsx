import {
  ORIGINS,
  WANT_STATES,
  type Origin,
  type Want,
  type WantKind,
  type WantState,
  type WayToGet,
} from '@sardonyx/core';
import { useState } from 'react';
import type { AppError } from '../../../../shared/api/appError.ts';
import { changeRow } from '../../../../shared/edits/editRow.ts';
import { formatDay } from '../../../../shared/format.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { useJob } from '../../JobContext.tsx';
import { WantKindOptions, WayToGetOptions } from './WantOptions.tsx';

const MARKS: Readonly<Record<WantState, string>> = { open: '○', ordered: '◐', solved: '●', waived: '–' };

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
        <span aria-hidden>{MARKS[want.state]}</span>
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
      <label>
        State
        <select
          value={draft.state}
          onChange={(event) => setDraft({ ...draft, state: event.target.value as WantState })}
        >
          {WANT_STATES.map((state) => (
            <option key={state}>{state}</option>
          ))}
        </select>
      </label>
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
        <label>
          It is
          <select
            value={draft.origin ?? ''}
            onChange={(event) => setDraft({ ...draft, origin: (event.target.value || null) as Origin | null })}
          >
            <option value="">Say where it came from</option>
            {ORIGINS.filter((origin) => origin !== 'unknown').map((origin) => (
              <option key={origin}>{origin}</option>
            ))}
          </select>
        </label>
      )}
      <label>
        Kind
        <select value={draft.kind} onChange={(event) => setDraft({ ...draft, kind: event.target.value as WantKind })}>
          <WantKindOptions />
        </select>
      </label>
      <label>
        Come by it
        <select
          value={draft.getBy ?? ''}
          onChange={(event) => setDraft({ ...draft, getBy: (event.target.value || null) as WayToGet | null })}
        >
          <WayToGetOptions />
        </select>
      </label>
      {draft.state === 'ordered' && (
        <label>
          Due on
          <input
            type="date"
            value={draft.dueOn ?? ''}
            onChange={(event) => setDraft({ ...draft, dueOn: event.target.value || null })}
          />
        </label>
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
