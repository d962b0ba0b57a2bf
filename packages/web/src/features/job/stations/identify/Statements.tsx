import { SOURCE_CERTAINTIES, type Source, type SourceCertainty } from '@sardonyx/core';
import { useState, type FormEvent } from 'react';
import { createRow, deleteRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { useJob } from '../../JobContext.tsx';

const KEEP = ['castingId', 'variantId', 'specimenId', 'statement', 'fromYear', 'toYear', 'origin', 'certainty'];

/** What people say of this model's date. Contradictory statements stand side by side; each is soft evidence. */
export function Statements() {
  const { specimen, isClosed } = useJob();
  const dispatch = useAppDispatch();
  return (
    <section aria-label="What is said of its date">
      <h2 className="mb-1">What is said of its date</h2>
      <ul>
        {specimen.sources.map((source) => (
          <li key={source.id} className="flex items-center gap-3 border-t border-hairline py-1">
            <span className="min-w-0 grow">
              {source.statement} ({describeYears(source)}): {source.origin}{' '}
              <span className="text-soft-ink">({source.certainty})</span>
            </span>
            {!isClosed && (
              <button
                type="button"
                className="quiet-button"
                onClick={() =>
                  void dispatch(deleteRow({ kind: 'sources', row: source, keep: KEEP, label: source.statement }))
                }
              >
                Remove
              </button>
            )}
          </li>
        ))}
        {specimen.casting?.sources.map((source) => (
          <li key={source.id} className="border-t border-hairline py-1 text-soft-ink">
            {source.statement} ({describeYears(source)}): {source.origin} ({source.certainty}; of the casting)
          </li>
        ))}
      </ul>
      {!isClosed && <AddStatement specimenId={specimen.specimen.id} />}
    </section>
  );
}

export function describeYears({ fromYear, toYear }: Pick<Source, 'fromYear' | 'toYear'>): string {
  if (fromYear === null) return toYear === null ? 'no year' : `to ${toYear}`;
  if (toYear === null) return `from ${fromYear}`;
  return fromYear === toYear ? String(fromYear) : `${fromYear} to ${toYear}`;
}

function AddStatement({ specimenId }: { readonly specimenId: string }) {
  const dispatch = useAppDispatch();
  const [fields, setFields] = useState({
    statement: '',
    origin: '',
    from: '',
    to: '',
    certainty: 'likely' as SourceCertainty,
  });
  const set = (change: Partial<typeof fields>) => setFields((before) => ({ ...before, ...change }));
  const year = (text: string) => (text.trim() === '' ? null : Number(text));
  const [from, to] = [year(fields.from), year(fields.to)];
  const isYear = (value: number | null) => value === null || (value >= 1850 && value <= 2100);
  const isComplete =
    fields.statement.trim() !== '' &&
    fields.origin.trim() !== '' &&
    isYear(from) &&
    isYear(to) &&
    (from ?? 0) <= (to ?? 9999);
  const add = (event: FormEvent) => {
    event.preventDefault();
    if (!isComplete) return;
    const { statement, origin, certainty } = fields;
    const body = {
      castingId: null,
      variantId: null,
      specimenId,
      statement,
      fromYear: from,
      toYear: to,
      origin,
      certainty,
    };
    void dispatch(createRow({ kind: 'sources', body, label: statement }));
    set({ statement: '', origin: '', from: '', to: '' });
  };
  return (
    <details className="mt-1">
      <summary className="quiet-button">Add what somebody says</summary>
      <form onSubmit={add} className="mt-2 grid gap-3 sm:grid-cols-2">
        <label>
          <span className="text-note">What it says</span>
          <input
            value={fields.statement}
            maxLength={120}
            onChange={(event) => set({ statement: event.target.value })}
          />
        </label>
        <label>
          <span className="text-note">Who says so, and where</span>
          <input value={fields.origin} maxLength={500} onChange={(event) => set({ origin: event.target.value })} />
        </label>
        <div className="grid grid-cols-2 gap-3">
          <label>
            <span className="text-note">From year</span>
            <input inputMode="decimal" value={fields.from} onChange={(event) => set({ from: event.target.value })} />
          </label>
          <label>
            <span className="text-note">To year</span>
            <input inputMode="decimal" value={fields.to} onChange={(event) => set({ to: event.target.value })} />
          </label>
        </div>
        <label>
          <span className="text-note">How certain</span>
          <select
            value={fields.certainty}
            onChange={(event) => set({ certainty: event.target.value as SourceCertainty })}
          >
            {SOURCE_CERTAINTIES.map((certainty) => (
              <option key={certainty}>{certainty}</option>
            ))}
          </select>
        </label>
        <button type="submit" className="plain-button justify-self-start" disabled={!isComplete}>
          Add it
        </button>
      </form>
    </details>
  );
}
