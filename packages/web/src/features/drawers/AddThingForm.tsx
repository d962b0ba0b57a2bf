import { STOCK_KIND_NAMES, type StockKind } from '@sardonyx/core';
import { useState, type FormEvent } from 'react';
import type { AppError } from '../../shared/api/appError.ts';
import { createRow } from '../../shared/edits/editRow.ts';
import { readOptional } from '../../shared/form/readNumber.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { Field } from '../../shared/ui/Field.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { readTyped, SizesFields, type Typed } from './SizesFields.tsx';
import { unitOf } from './sayThing.ts';

interface Fields {
  readonly name: string;
  /** null: the one that stands open. */
  readonly drawer: string | null;
  readonly reorderAt: string;
}

interface AddThingFormProps {
  /** The drawer that stands open: there it goes unless somebody says otherwise. */
  readonly drawer: string;
}

/** Something new for a drawer; how much of it there is is written down afterwards, in its log. */
export function AddThingForm({ drawer }: AddThingFormProps) {
  const dispatch = useAppDispatch();
  const [kind, setKind] = useState<StockKind>('axle');
  const [typed, setTyped] = useState<Typed>({});
  const [fields, setFields] = useState<Fields>({ name: '', drawer: null, reorderAt: '' });
  const [error, setError] = useState<AppError | null>(null);
  const add = async (event: FormEvent) => {
    event.preventDefault();
    const body = {
      ...{ kind, name: fields.name.trim(), drawer: (fields.drawer ?? drawer).trim(), ...readTyped(kind, typed) },
      reorderAt: readOptional(fields.reorderAt),
      ...{ keepsDays: null, isLocked: false, supplierId: null, note: '' },
    };
    const label = `${kind} ${body.name}`;
    const problem = await dispatch(createRow({ kind: 'stock-things', body, label, isShownInPlace: true })).unwrap();
    setError(problem);
    if (problem) return;
    setFields({ ...fields, name: '' });
    setTyped({});
  };
  const field = (name: keyof Fields, label: string, width: string) => (
    <Field label={label} isQuiet width={width} error={error?.fields?.[name]}>
      <input
        inputMode={name === 'reorderAt' ? 'decimal' : 'text'}
        value={fields[name] ?? drawer}
        onChange={(event) => setFields({ ...fields, [name]: event.target.value })}
      />
    </Field>
  );
  return (
    <form aria-label="Something new" className="space-y-3" onSubmit={(event) => void add(event)}>
      <h2>Something new</h2>
      <div className="flex flex-wrap items-start gap-3">
        <Field label="Kind" isQuiet width="10rem">
          <Select value={kind} options={STOCK_KIND_NAMES} onChange={setKind} />
        </Field>
        {field('name', 'Name', '13rem')}
        {field('drawer', 'Drawer', '6rem')}
        <SizesFields
          kind={kind}
          typed={typed}
          errors={error?.fields}
          onType={(name, value) => setTyped({ ...typed, [name]: value })}
        />
        {field('reorderAt', `Order more below, ${unitOf(kind)}`, '11rem')}
      </div>
      <button type="submit" className="main-button">
        Add it
      </button>
      {error && <ErrorNote error={error} />}
    </form>
  );
}
