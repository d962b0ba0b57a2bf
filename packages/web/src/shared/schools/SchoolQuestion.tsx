import type { School } from '@sardonyx/core';
import { useState } from 'react';
import { Field } from '../ui/Field.tsx';
import { Select } from '../ui/Select.tsx';
import type { AppError } from '../api/appError.ts';
import { ErrorNote } from '../ui/Notice.tsx';

interface SchoolQuestionProps {
  readonly school: School;
  /** What is in force now, and why. */
  readonly option: string;
  readonly because: string;
  /** The reason to begin with when another answer is chosen. */
  readonly reason: string;
  /** What the answer would be without one of its own: "house", "usual". */
  readonly fallback: { readonly option: string; readonly word: string };
  readonly isClosed?: boolean;
  /** Saves the answer; the error when it was refused. */
  readonly onDecide: (option: string, reason: string) => Promise<AppError | null>;
}

/** One question on which good restorers disagree: what each answer costs, what is done here, and why. */
export function SchoolQuestion(props: SchoolQuestionProps) {
  const { school, option, because, reason, fallback, isClosed = false, onDecide } = props;
  const [draft, setDraft] = useState<{ readonly option: string; readonly reason: string } | null>(null);
  const [error, setError] = useState<AppError | null>(null);
  const save = async () => {
    if (!draft) return;
    const problem = await onDecide(draft.option, draft.reason);
    setError(problem);
    if (!problem) setDraft(null);
  };
  return (
    <li className="space-y-1 border-t border-hairline py-2">
      <Field label={school.question}>
        <Select
          disabled={isClosed}
          value={draft?.option ?? option}
          options={school.options.map((one) => ({
            value: one,
            label: `${one}${one === fallback.option ? ` (${fallback.word})` : ''}`,
          }))}
          onChange={(value) => setDraft({ option: value, reason: draft?.reason ?? reason })}
        />
      </Field>
      <p className="text-note">{school.tradeOff}</p>
      <p className="text-note text-soft-ink">{because}</p>
      {draft && (
        <div className="space-y-2">
          <label className="block">
            Reason, for the record
            <input value={draft.reason} onChange={(event) => setDraft({ ...draft, reason: event.target.value })} />
          </label>
          <button type="button" className="plain-button" onClick={() => void save()}>
            Decide
          </button>{' '}
          <button type="button" className="quiet-button" onClick={() => setDraft(null)}>
            Leave it
          </button>
          {error && <ErrorNote error={error} />}
        </div>
      )}
    </li>
  );
}
