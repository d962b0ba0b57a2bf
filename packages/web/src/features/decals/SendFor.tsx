import type { DecalOrderView, PlannedDecalView } from '@sardonyx/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { readAppError } from '../../shared/api/appError.ts';
import { useOrderDecalMutation } from '../../shared/api/decalApi.ts';
import { readNumber } from '../../shared/form/readNumber.ts';
import { Field } from '../../shared/ui/Field.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { sayOrder } from './sayOrder.ts';

interface SendForProps {
  readonly decal: PlannedDecalView;
  readonly orders: readonly DecalOrderView[];
}

/** What a supplier is to send of a decal: it becomes a want, and goes to the shopping list. */
export function SendFor({ decal, orders }: SendForProps) {
  const own = orders.filter(({ layerId }) => layerId === decal.layerId);
  return (
    <div className="space-y-1 sm:col-span-3">
      {own.map((order) => (
        <p key={order.id}>{sayOrder(order)}</p>
      ))}
      <Fold
        key={own.length}
        title={own.length === 0 ? 'Have it printed by a supplier' : 'Have more printed by a supplier'}
      >
        <SendForm decal={decal} />
      </Fold>
    </div>
  );
}

function SendForm({ decal: { layerId, name, sets, toPrint, plan, freeWants } }: { readonly decal: PlannedDecalView }) {
  const [count, setCount] = useState(String(toPrint || sets * (plan?.copies ?? 1)));
  const [wantId, setWantId] = useState<string | null>(null);
  const [order, { error, isLoading }] = useOrderDecalMutation();
  const known = error === undefined ? null : readAppError(error);
  return (
    <form
      aria-label={`Wanted of a supplier: ${name}`}
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        void order({ layerId, count: readNumber(count)!, wantId });
      }}
    >
      <div className="flex flex-wrap items-end gap-3">
        <Field label="Pieces, all sets" width="8rem" error={known?.fields?.count}>
          <input inputMode="numeric" value={count} onChange={(event) => setCount(event.target.value)} />
        </Field>
        {freeWants.length > 0 && (
          <Field label="It is" width="20rem" error={known?.fields?.wantId}>
            <Select
              value={wantId}
              options={[
                { value: null, label: 'a new want' },
                ...freeWants.map(({ id, what }) => ({ value: id, label: what })),
              ]}
              onChange={setWantId}
            />
          </Field>
        )}
        <button type="submit" className="plain-button" disabled={isLoading}>
          Put it on the shopping list
        </button>
      </div>
      <p className="text-note text-soft-ink">
        Suppliers print white under the ink. It is ordered and taken in at <Link to="/orders">Orders</Link>.
      </p>
      {known && !known.fields && <ErrorNote error={known} />}
    </form>
  );
}
