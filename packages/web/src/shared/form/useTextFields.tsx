import { useState, type ReactElement } from 'react';
import { Field } from '../ui/Field.tsx';

interface TextFields<K extends string> {
  readonly fields: Readonly<Record<K, string>>;
  readonly setFields: (fields: Readonly<Record<K, string>>) => void;
  /** One of them, with what the server says of it; `path` where the server calls it otherwise. */
  readonly field: (name: K, label: string, width: string, path?: string) => ReactElement;
}

interface TextFieldsOptions<K extends string> {
  /** Those that are typed with the keys of numbers. */
  readonly numbers: readonly K[];
  readonly errors: Readonly<Record<string, string>> | undefined;
}

/** Short fields of a form that is sent by a press, kept as they are typed. */
export function useTextFields<K extends string>(
  start: Readonly<Record<K, string>>,
  { numbers, errors }: TextFieldsOptions<NoInfer<K>>,
): TextFields<K> {
  const [fields, setFields] = useState(start);
  const field: TextFields<K>['field'] = (name, label, width, path = name) => (
    <Field label={label} isQuiet width={width} error={errors?.[path]}>
      <input
        inputMode={numbers.includes(name) ? 'decimal' : 'text'}
        value={fields[name]}
        onChange={(event) => setFields({ ...fields, [name]: event.target.value })}
      />
    </Field>
  );
  return { fields, setFields, field };
}
