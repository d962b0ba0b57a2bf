import type { DecalOrderView, DecalsView } from '@sardonyx/contract';
import { RATED, type DecalRating, type Rated, type RatedSupplier } from '@sardonyx/core';
import { changeRow } from '../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../shared/store.ts';
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
  const dispatch = useAppDispatch();
  const rating = order.rating ?? UNRATED;
  const rate = (what: Rated, answer: boolean | null) =>
    void dispatch(
      changeRow({
        ...{ kind: 'decal-orders', row: order, label: `sheet of ${order.artwork.name}` },
        changes: { rating: { ...rating, [what]: answer } },
      }),
    );
  return (
    <li className="space-y-1 py-2">
      <p>
        <strong>{order.artwork.name}</strong>: {sayOrder(order)}
      </p>
      <Fold title={order.rating === null ? 'Say how the sheet is' : 'How the sheet is'}>
        <ul className="space-y-2">
          {RATED.map((what) => (
            <li key={what} className="flex flex-wrap items-center gap-3">
              <span className="w-56">{QUESTIONS[what]}</span>
              <Toggles
                aria-label={QUESTIONS[what]}
                value={rating[what]}
                options={[
                  { value: true, label: 'yes' },
                  { value: false, label: 'no' },
                  { value: null, label: 'not looked at' },
                ]}
                onChange={(answer) => rate(what, answer)}
              />
            </li>
          ))}
        </ul>
      </Fold>
    </li>
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
