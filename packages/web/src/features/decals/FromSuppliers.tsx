import type { DecalOrderView, DecalsView } from '@sardonyx/contract';
import { RATED, type DecalRating, type Rated, type RatedSupplier } from '@sardonyx/core';
import { useState } from 'react';
import { changeRow } from '../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { Field } from '../../shared/ui/Field.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { Toggles } from '../../shared/ui/Toggles.tsx';
import { sayOrder } from './sayOrder.ts';

/** What suppliers print of decals: the letter with its artwork, and how their sheets were. */
export function FromSuppliers({ view: { orders, suppliers } }: { readonly view: DecalsView }) {
  if (orders.length === 0) return null;
  const isOpen = ({ state }: DecalOrderView) => state === 'open' || state === 'ordered';
  const came = orders.filter(({ state }) => state === 'solved');
  return (
    <section aria-label="From suppliers" className="space-y-2">
      <h2>From suppliers</h2>
      <ul className="divide-y divide-hairline border-y border-hairline">
        {orders.filter(isOpen).map((order) => (
          <li key={order.id} className="py-2">
            <strong>{order.artwork.name}</strong>: {sayOrder(order)}
          </li>
        ))}
        {came.map((order) => (
          <Came key={order.id} order={order} />
        ))}
      </ul>
      {orders.some(isOpen) && (
        <a className="quiet-button" href="/api/decal-orders/order.zip" download>
          Artwork and letter for the supplier, ZIP
        </a>
      )}
      {suppliers.map((supplier) => (
        <p key={supplier.id}>{saySupplier(supplier)}</p>
      ))}
    </section>
  );
}

const QUESTIONS: Readonly<Record<Rated, string>> = {
  isSharp: 'Sharp under the magnifier?',
  isInRegister: 'Colours on their place?',
  isWhiteDense: 'White without holes?',
  releasesWell: 'Did it slide well?',
};

const UNRATED: DecalRating = { isSharp: null, isInRegister: null, isWhiteDense: null, releasesWell: null, note: '' };

function Came({ order }: { readonly order: DecalOrderView }) {
  return (
    <li className="space-y-1 py-2">
      <p>
        <strong>{order.artwork.name}</strong>: {sayOrder(order)}
      </p>
      <Fold title={order.rating === null ? 'Say how the sheet is' : 'How the sheet is'}>
        <RatingForm key={order.version} order={order} />
      </Fold>
    </li>
  );
}

const ANSWERS = [
  { value: true, label: 'yes' },
  { value: false, label: 'no' },
  { value: null, label: 'not looked at' },
] as const;

/** All answers are written down at once: one after the other each would be the change of somebody else to the next. */
function RatingForm({ order }: { readonly order: DecalOrderView }) {
  const dispatch = useAppDispatch();
  const [rating, setRating] = useState<DecalRating>(order.rating ?? UNRATED);
  const isSame = JSON.stringify(rating) === JSON.stringify(order.rating ?? UNRATED);
  return (
    <form
      aria-label={`How the sheet of ${order.artwork.name} is`}
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        const label = `sheet of ${order.artwork.name}`;
        void dispatch(changeRow({ kind: 'decal-orders', row: order, changes: { rating }, label }));
      }}
    >
      {RATED.map((what) => (
        <div key={what} className="flex flex-wrap items-center gap-3">
          <span className="w-56">{QUESTIONS[what]}</span>
          <Toggles
            aria-label={QUESTIONS[what]}
            value={rating[what]}
            options={ANSWERS}
            onChange={(answer) => setRating({ ...rating, [what]: answer })}
          />
        </div>
      ))}
      <div className="flex flex-wrap items-end gap-3">
        <Field label="Note" width="20rem">
          <input
            value={rating.note}
            maxLength={300}
            onChange={(event) => setRating({ ...rating, note: event.target.value })}
          />
        </Field>
        <button type="submit" className="plain-button" disabled={isSame}>
          Write it down
        </button>
      </div>
    </form>
  );
}

const ASPECTS: Readonly<Record<Rated, string>> = {
  isSharp: 'sharp',
  isInRegister: 'in register',
  isWhiteDense: 'white dense',
  releasesWell: 'slid well',
};

function saySupplier({ name, rated }: RatedSupplier): string {
  const known = RATED.filter((what) => rated[what].lines > 0).map((what) => {
    const { share, lines, low, high } = rated[what];
    const percent = (part: number) => Math.round(100 * part);
    return `${ASPECTS[what]} ${Math.round(share * lines)} of ${lines} (${percent(low)} to ${percent(high)}\u00a0%)`;
  });
  return `${name}: ${known.join(', ')}.`;
}
