import { useState } from 'react';
import { readNumber } from '../../../shared/form/readNumber.ts';
import { Field } from '../../../shared/ui/Field.tsx';

interface NumberFieldProps {
  readonly label: string;
  readonly value: number | null;
  readonly isOptional?: boolean;
  readonly onChange: (value: number) => void;
}

/** What is no number stays as it was typed, and changes nothing. */
export function NumberField({ label, value, isOptional = false, onChange }: NumberFieldProps) {
  const [draft, setDraft] = useState<string | null>(null);
  const read = draft === null ? value : readNumber(draft);
  const isEmpty = isOptional && draft?.trim() === '';
  const isWrong = draft !== null && !isEmpty && !(read! > 0);
  return (
    <Field label={label} width="9rem" error={isWrong ? 'A number above 0.' : undefined}>
      <input
        inputMode="decimal"
        value={draft ?? (value === null ? '' : String(value))}
        onChange={(event) => {
          setDraft(event.target.value);
          const typed = readNumber(event.target.value);
          if (typed > 0) onChange(typed);
          else if (isOptional && event.target.value.trim() === '') onChange(0);
        }}
        onBlur={() => !isWrong && setDraft(null)}
      />
    </Field>
  );
}
