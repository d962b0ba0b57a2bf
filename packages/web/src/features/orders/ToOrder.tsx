import type { SupplierView } from '@sardonyx/contract';
import { toDay, toIsoDay, type GatheredLine, type SupplierOrder } from '@sardonyx/core';
import { useState, type FormEvent } from 'react';
import { readAppError } from '../../shared/api/appError.ts';
import { usePlaceOrderMutation } from '../../shared/api/stockApi.ts';
import { sayAmount } from '../../shared/sayAmount.ts';
import { Checkbox } from '../../shared/ui/Checkbox.tsx';
import { DateField } from '../../shared/ui/DateField.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { Sign } from '../../shared/ui/Sign.tsx';
import { count, sayDay, sayPrice, sayWord } from './sayOrders.ts';

interface ToOrderProps {
  readonly order: SupplierOrder;
  readonly suppliers: readonly SupplierView[];
  /** ISO day. */
  readonly today: string;
}

const keyOf = ({ what, unit, wantId, bitId }: GatheredLine): string => `${unit} ${what} ${wantId ?? ''} ${bitId ?? ''}`;

/** All that is wanted of one supplier: what goes into this order, and when it is promised for. */
export function ToOrder({ order, suppliers, today }: ToOrderProps) {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [chosen, setChosen] = useState<string | null>(null);
  const [promised, setPromised] = useState<string | null>(null);
  const [send, { error, isLoading }] = usePlaceOrderMutation();
  const supplier = suppliers.find(({ id }) => id === (chosen ?? order.supplierId));
  const name = suppliers.find(({ id }) => id === order.supplierId)?.name ?? 'Nobody is known to have these';
  const promisedOn = promised ?? (supplier ? toIsoDay(toDay(today) + Math.round(supplier.promisedDays)) : '');
  const lines = order.lines.filter((line) => !left.has(keyOf(line)));
  const known = error === undefined ? null : readAppError(error);
  const place = async (event: FormEvent) => {
    event.preventDefault();
    if (!supplier) return;
    const { data } = await send({
      ...{ supplierId: supplier.id, orderedOn: today, promisedOn, note: '' },
      lines: lines.map(({ what, amount, unit, thingId, wantId, bitId, serves, pot, toolKind, jobId, price }) => ({
        ...{ what, amount, unit, thingId, wantId, bitId, serves, pot, toolKind, jobId, price },
      })),
    });
    if (data) setLeft(new Set());
  };
  const choose = (line: GatheredLine, isIn: boolean) => {
    const next = new Set(left);
    if (isIn) next.delete(keyOf(line));
    else next.add(keyOf(line));
    setLeft(next);
  };
  return (
    <form
      aria-label={`To order: ${name}`}
      className="break-inside-avoid space-y-3 border border-strong-line bg-sheet p-4"
      onSubmit={(event) => void place(event)}
    >
      <h3>
        {name}
        {order.orderBy !== null &&
          (order.isLate ? (
            <>
              {': '}
              <Sign of="warning" /> order today, or a step will wait
            </>
          ) : (
            `: order by ${sayDay(order.orderBy)}, so that no job waits`
          ))}
      </h3>
      {supplier && (
        <p className="text-note text-soft-ink">{`${chosen === null ? '' : `${supplier.name}: `}${sayWord(supplier)}.`}</p>
      )}
      <ul>
        {order.lines.map((line) => (
          <li
            key={keyOf(line)}
            className={`grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-t border-hairline py-1 ${left.has(keyOf(line)) ? 'print:hidden' : ''}`}
          >
            <Checkbox checked={!left.has(keyOf(line))} onChange={(isIn) => choose(line, isIn)}>
              {line.what}: <span className="figure">{sayAmount(line.amount, line.unit)}</span>
            </Checkbox>
            <span className="text-right text-note text-soft-ink">
              {line.jobNumbers.length ? line.jobNumbers.join(', ') : 'for the drawer'}
              {line.orderBy !== null && (line.orderBy <= toDay(today) ? ', today' : `, by ${sayDay(line.orderBy)}`)}
              {line.price !== null && `, ${sayPrice(line.price)}`}
            </span>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-end gap-3 print:hidden">
        {suppliers.length > 0 && (
          <Field label="Order from" isQuiet width="13rem" error={known?.fields?.supplierId}>
            <Select
              value={supplier?.id ?? ''}
              options={[
                ...(supplier ? [] : [{ value: '', label: 'choose one' }]),
                ...suppliers.map((one) => ({ value: one.id, label: one.name })),
              ]}
              onChange={(id) => {
                setChosen(id);
                setPromised(null);
              }}
            />
          </Field>
        )}
        <Field label="Promised for" isQuiet width="11rem" error={known?.fields?.promisedOn}>
          <DateField value={promisedOn} onChange={setPromised} />
        </Field>
        <button type="submit" className="main-button" disabled={!supplier || lines.length === 0 || isLoading}>
          Ordered: {count(lines.length, 'line')}
        </button>
        {!supplier && (
          <p className="text-note">{suppliers.length ? 'Say who has them.' : 'Write a supplier down first, below.'}</p>
        )}
      </div>
      {known && <ErrorNote error={known} />}
    </form>
  );
}
