import type { OrderView, SupplierView } from '@sardonyx/contract';
import { useState } from 'react';
import { formatDay } from '../../shared/dates/sayDates.ts';
import { changeRow, deleteRow } from '../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { sayAmount } from '../../shared/sayAmount.ts';
import { DateField } from '../../shared/ui/DateField.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Sign } from '../../shared/ui/Sign.tsx';
import { ReceiveForm } from './ReceiveForm.tsx';

interface OnItsWayProps {
  readonly orders: readonly OrderView[];
  readonly suppliers: readonly SupplierView[];
}

/** What was sent for and has not come. */
export function OnItsWay({ orders, suppliers }: OnItsWayProps) {
  return (
    <section aria-label="On the way" className="space-y-4">
      <h2>On the way</h2>
      {orders.map((order) => (
        <Coming key={order.id} order={order} name={suppliers.find(({ id }) => id === order.supplierId)?.name ?? ''} />
      ))}
    </section>
  );
}

function Coming({ order, name }: { readonly order: OrderView; readonly name: string }) {
  const dispatch = useAppDispatch();
  const [promised, setPromised] = useState<string | null>(null);
  const [opened, setOpened] = useState<string | null>(null);
  const { arrival, lines } = order;
  const isUntouched = lines.every(({ arrivedOn }) => arrivedOn === null);
  const label = `${name}, ordered on ${formatDay(order.orderedOn)}`;
  const promise = (promisedOn: string) => {
    if (/^\d{4}-\d\d-\d\d$/.test(promisedOn) && promisedOn !== order.promisedOn)
      void dispatch(changeRow({ kind: 'stock-orders', row: order, changes: { promisedOn }, label }));
    setPromised(null);
  };
  return (
    <article aria-label={label} className="break-inside-avoid space-y-2 border border-strong-line bg-sheet p-4">
      <h3>
        {name}: likely on {formatDay(arrival!.likelyOn)}
        {arrival!.isOverdue && (
          <>
            , <Sign of="warning" /> late
          </>
        )}
      </h3>
      <p className="text-note text-soft-ink">
        Ordered on {formatDay(order.orderedOn)}, promised for {formatDay(order.promisedOn)}
        {order.firstPromisedOn !== order.promisedOn && ` (first ${formatDay(order.firstPromisedOn)})`}; here by{' '}
        {formatDay(arrival!.surelyOn)} nine times in ten.
      </p>
      <ul>
        {lines.map((line) => (
          <li key={line.id} className="space-y-2 border-t border-hairline py-1">
            <div className="flex flex-wrap items-center justify-between gap-3">
              <span>
                {line.what}: <span className="figure">{sayAmount(line.amount, line.unit)}</span>
                {line.jobNumber && <span className="text-soft-ink"> for {line.jobNumber}</span>}
              </span>
              {line.arrivedOn === null ? (
                <button
                  type="button"
                  className="plain-button print:hidden"
                  aria-expanded={opened === line.id}
                  onClick={() => setOpened(opened === line.id ? null : line.id)}
                >
                  It came<span className="sr-only">: {line.what}</span>
                </button>
              ) : (
                <span className="text-note">
                  <Sign of="done" /> came on {formatDay(line.arrivedOn)}, {line.quality}
                </span>
              )}
            </div>
            {opened === line.id && line.arrivedOn === null && (
              <ReceiveForm line={line} onDone={() => setOpened(null)} />
            )}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-end gap-3 print:hidden">
        <Field label="Promised for" isQuiet width="11rem">
          <DateField value={promised ?? order.promisedOn} onChange={setPromised} onLeave={promise} />
        </Field>
        {isUntouched && (
          <button
            type="button"
            className="quiet-button"
            onClick={() => void dispatch(deleteRow({ kind: 'stock-orders', row: order, label }))}
          >
            It was not ordered after all
          </button>
        )}
      </div>
    </article>
  );
}
