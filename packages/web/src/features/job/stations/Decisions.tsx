import type { School } from '@sardonyx/core';
import { useState } from 'react';
import type { AppError } from '../../../shared/api/appError.ts';
import { changeRow, createRow } from '../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../shared/store.ts';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { useJob } from '../JobContext.tsx';

/** Questions on which good restorers disagree: what this job does, and why. */
export function Decisions({ schools }: { readonly schools: readonly School[] }) {
  return (
    <details>
      <summary className="quiet-button">How this job is done, where restorers disagree</summary>
      <ul>
        {schools.map((school) => (
          <SchoolLine key={school.key} school={school} />
        ))}
      </ul>
    </details>
  );
}

function SchoolLine({ school }: { readonly school: School }) {
  const { view, isClosed } = useJob();
  const dispatch = useAppDispatch();
  const decision = view.decisions.find((candidate) => candidate.school === school.key);
  const [draft, setDraft] = useState<{ option: string; reason: string } | null>(null);
  const [error, setError] = useState<AppError | null>(null);
  const save = async () => {
    if (!draft) return;
    const label = `${school.question}: ${draft.option}`;
    const problem = decision
      ? await dispatch(
          changeRow({ kind: 'decisions', row: decision, changes: draft, label, isShownInPlace: true }),
        ).unwrap()
      : await dispatch(
          createRow({
            kind: 'decisions',
            body: { jobId: view.job.id, school: school.key, ...draft },
            label,
            isShownInPlace: true,
          }),
        ).unwrap();
    setError(problem);
    if (!problem) setDraft(null);
  };
  return (
    <li className="space-y-1 border-t border-hairline py-2">
      <label className="grid grid-cols-2 items-center gap-3">
        <span>
          {school.question} <span className="text-note text-soft-ink">{school.key}</span>
        </span>
        <select
          disabled={isClosed}
          value={draft?.option ?? decision?.option ?? school.defaultOption}
          onChange={(event) => setDraft({ option: event.target.value, reason: decision?.reason ?? '' })}
        >
          {school.options.map((option) => (
            <option key={option} value={option}>
              {option}
              {option === school.defaultOption ? ' (house)' : ''}
            </option>
          ))}
        </select>
      </label>
      <p className="text-note text-soft-ink">
        {decision ? `Because: ${decision.reason}` : `House style, because: ${school.defaultReason}`}
      </p>
      {draft && (
        <div className="space-y-2">
          <label className="block">
            Reason, for the record
            <input value={draft.reason} onChange={(event) => setDraft({ ...draft, reason: event.target.value })} />
          </label>
          <button type="button" className="plain-button" onClick={() => void save()}>
            Decide
          </button>
          {error && <ErrorNote error={error} />}
        </div>
      )}
    </li>
  );
}
