import { useState } from 'react';
import type { NounPath } from '@sardonyx/contract';
import { DateField } from '../ui/DateField.tsx';
import { Select } from '../ui/Select.tsx';
import type { Row } from '../api/api.ts';
import type { AppError } from '../api/appError.ts';
import { changeRow } from '../edits/editRow.ts';
import { useWaiting } from '../edits/useWaiting.ts';
import { Field } from '../ui/Field.tsx';
import { useAppDispatch } from '../store.ts';

interface AutosavedProps<R extends Row> {
  readonly kind: NounPath;
  readonly row: R;
  readonly field: keyof R & string;
  readonly label: string;
  /** 'number' and 'date' may be emptied where the row may be without. */
  readonly type?: 'text' | 'date' | 'number';
  /** The only values there are. */
  readonly options?: readonly string[];
}

interface Draft<R> {
  readonly text: string;
  /** The row as it was when the edit began, and what the field said then. */
  readonly from: R;
  readonly said: string;
}

/** A field that saves itself when it is left; a choice at once. What was refused stays in the field, with the reason under it. */
export function Autosaved<R extends Row>({ kind, row, field, label, type = 'text', options }: AutosavedProps<R>) {
  const dispatch = useAppDispatch();
  const waiting = useWaiting(kind, row.id);
  const isWaiting = field in waiting;
  const shown = String((isWaiting ? waiting[field] : row[field]) ?? '');
  // The edit keeps the row it began with: a save made meanwhile elsewhere must show as such.
  const [draft, setDraft] = useState<Draft<R> | null>(null);
  const [error, setError] = useState<AppError | null>(null);
  const edit = (text: string) => {
    const next = { text, from: draft?.from ?? row, said: draft?.said ?? shown };
    setDraft(next);
    return next;
  };
  const save = async (draft: Draft<R> | null) => {
    if (!draft) return;
    const value = readValue(draft.text, type);
    if (draft.text === draft.said) return setDraft(null);
    const problem = await dispatch(
      changeRow({
        kind,
        row: draft.from,
        changes: { [field]: value },
        label: `${label}: ${draft.text || 'empty'}`,
        isShownInPlace: true,
      }),
    ).unwrap();
    setError(problem);
    if (!problem) setDraft(null);
  };
  return (
    <Field
      label={label}
      hint={isWaiting ? 'Kept here; not on the bench yet.' : ''}
      error={error?.fields?.[field] ?? error?.message}
    >
      {options ? (
        <Select value={draft?.text ?? shown} options={options} onChange={(value) => void save(edit(value))} />
      ) : type === 'date' ? (
        <DateField value={draft?.text ?? shown} onChange={edit} onLeave={(day) => void save(edit(day))} />
      ) : (
        <input
          inputMode={type === 'number' ? 'decimal' : undefined}
          value={draft?.text ?? shown}
          onChange={(event) => edit(event.target.value)}
          onBlur={() => void save(draft)}
        />
      )}
    </Field>
  );
}

/** What is no number stays as it was typed: the server says what is wrong with it. */
function readValue(text: string, type: 'text' | 'date' | 'number'): string | number | null {
  if (type === 'text') return text;
  if (text.trim() === '') return null;
  const number = Number(text.replace(',', '.'));
  return type === 'number' && Number.isFinite(number) ? number : text;
}
