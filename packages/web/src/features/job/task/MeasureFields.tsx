import type { TaskMeasure } from '@sardonyx/core';
import { useState } from 'react';
import { readNumber } from '../../../shared/form/readNumber.ts';
import { Field } from '../../../shared/ui/Field.tsx';

export interface MeasureField {
  readonly what: TaskMeasure['what'];
  readonly label: string;
  readonly hint?: string;
}

interface MeasureFieldsProps {
  readonly fields: readonly MeasureField[];
  /** As they were written down last. */
  readonly start: readonly TaskMeasure[];
  readonly onMeasure: (measures: readonly TaskMeasure[]) => void;
}

/** What is measured at a step: kept as it is typed, told as far as it is a length. */
export function MeasureFields({ fields, start, onMeasure }: MeasureFieldsProps) {
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(start.map(({ what, valueMm }) => [what, String(valueMm)])),
  );
  const type = (what: string, text: string) => {
    const next = { ...typed, [what]: text };
    setTyped(next);
    onMeasure(
      fields.flatMap((field) => {
        const valueMm = next[field.what]?.trim() ? readNumber(next[field.what]!) : NaN;
        return valueMm > 0 ? [{ what: field.what, valueMm }] : [];
      }),
    );
  };
  return (
    <div className="flex flex-wrap items-start gap-3">
      {fields.map(({ what, label, hint }) => (
        <Field key={what} label={label} isQuiet width="13rem" hint={hint}>
          <input inputMode="decimal" value={typed[what] ?? ''} onChange={(event) => type(what, event.target.value)} />
        </Field>
      ))}
    </div>
  );
}
