import { useState } from 'react';
import { type Row, type RowKind } from '../../shared/api/api.ts';
import type { AppError } from '../../shared/api/appError.ts';
import { changeRow } from '../../shared/edits/editRow.ts';
import { Field } from '../../shared/form/Field.tsx';
import { useAppDispatch } from '../../shared/store.ts';

interface AutosavedProps<R extends Row> {
  readonly kind: RowKind;
  readonly row: R;
  readonly field: keyof R & string;
  readonly label: string;
  readonly type?: 'text' | 'date';
}

/** A field that saves itself when it is left. What was refused stays in the field, with the reason under it. */
export function Autosaved<R extends Row>({ kind, row, field, label, type = 'text' }: AutosavedProps<R>) {
  const dispatch = useAppDispatch();
  const saved = String(row[field] ?? '');
  // The edit keeps the row it began with: a save made meanwhile elsewhere must show as such.
  const [draft, setDraft] = useState<{ readonly text: string; readonly from: R } | null>(null);
  const [error, setError] = useState<AppError | null>(null);
  const save = async () => {
    if (!draft) return;
    const value = type === 'date' && draft.text === '' ? null : draft.text;
    if (draft.text === String(draft.from[field] ?? '')) return setDraft(null);
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
    <Field label={label} error={error?.fields?.[field] ?? error?.message}>
      <input
        type={type}
        value={draft?.text ?? saved}
        onChange={(event) => setDraft({ text: event.target.value, from: draft?.from ?? row })}
        onBlur={() => void save()}
      />
    </Field>
  );
}
