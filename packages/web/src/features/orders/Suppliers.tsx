import type { SupplierView } from '@sardonyx/contract';
import { useState, type FormEvent } from 'react';
import type { AppError } from '../../shared/api/appError.ts';
import { createRow, deleteRow } from '../../shared/edits/editRow.ts';
import { Autosaved } from '../../shared/form/Autosaved.tsx';
import { readNumber } from '../../shared/form/readNumber.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { Field } from '../../shared/ui/Field.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { sayWord } from './sayOrders.ts';

/** Who sends what, and what their word turned out to be worth. */
export function Suppliers({ suppliers }: { readonly suppliers: readonly SupplierView[] }) {
  const dispatch = useAppDispatch();
  return (
    <section aria-label="Suppliers" className="space-y-3 print:hidden">
      <h2>Suppliers</h2>
      <ul>
        {suppliers.map((supplier) => (
          <li key={supplier.id} className="border-t border-hairline">
            <Fold
              title={
                <>
                  <strong>{supplier.name}</strong> <span className="text-note text-soft-ink">{sayWord(supplier)}</span>
                </>
              }
            >
              <div className="flex flex-wrap items-end gap-3">
                <Autosaved kind="suppliers" row={supplier} field="name" label="Name" />
                <Autosaved
                  kind="suppliers"
                  row={supplier}
                  field="promisedDays"
                  label="Says it takes, days"
                  type="number"
                />
                <Autosaved kind="suppliers" row={supplier} field="note" label="Note" />
                <button
                  type="button"
                  className="quiet-button"
                  onClick={() => void dispatch(deleteRow({ kind: 'suppliers', row: supplier, label: supplier.name }))}
                >
                  Take away<span className="sr-only">: {supplier.name}</span>
                </button>
              </div>
            </Fold>
          </li>
        ))}
      </ul>
      <AddSupplier isFirst={suppliers.length === 0} />
    </section>
  );
}

function AddSupplier({ isFirst }: { readonly isFirst: boolean }) {
  const dispatch = useAppDispatch();
  const [fields, setFields] = useState({ name: '', promisedDays: '7' });
  const [error, setError] = useState<AppError | null>(null);
  const add = async (event: FormEvent) => {
    event.preventDefault();
    const body = { name: fields.name.trim(), promisedDays: readNumber(fields.promisedDays), note: '' };
    const problem = await dispatch(
      createRow({ kind: 'suppliers', body, label: `supplier ${body.name}`, isShownInPlace: true }),
    ).unwrap();
    setError(problem);
    if (!problem) setFields({ name: '', promisedDays: '7' });
  };
  return (
    <Fold title="Write a supplier down" isOpen={isFirst}>
      <form
        aria-label="A new supplier"
        className="flex flex-wrap items-start gap-3"
        onSubmit={(event) => void add(event)}
      >
        <Field label="Name" isQuiet width="13rem" error={error?.fields?.name}>
          <input value={fields.name} onChange={(event) => setFields({ ...fields, name: event.target.value })} />
        </Field>
        <Field label="Says it takes, days" isQuiet width="10rem" error={error?.fields?.promisedDays}>
          <input
            inputMode="decimal"
            value={fields.promisedDays}
            onChange={(event) => setFields({ ...fields, promisedDays: event.target.value })}
          />
        </Field>
        <button type="submit" className="main-button self-end">
          Add it
        </button>
      </form>
      {error && <ErrorNote error={error} />}
    </Fold>
  );
}
