import type { MixView } from '@sardonyx/contract';
import { mayBeMixed, sumLeft, type MixState } from '@sardonyx/core';
import { useState } from 'react';
import { useLogMixStepMutation } from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { useWho } from '../../../shared/ui/useWho.ts';
import { findProduct, useColourBench } from '../ColourContext.tsx';
import { formatMl } from '../swatch/formatColour.ts';

interface AnotherPotProps {
  readonly mix: MixView;
  readonly state: MixState;
  readonly isStale: boolean;
}

/** What was poured without being advised goes into the log as well; the round is planned anew from there. */
export function AnotherPot({ mix, state, isStale }: AnotherPotProps) {
  const { shelf } = useColourBench();
  const [who] = useWho();
  const [log, { error, isLoading }] = useLogMixStepMutation();
  const [productId, setProductId] = useState('');
  const [amount, setAmount] = useState('');
  const [isSent, setSent] = useState(false);
  const known = [...state.productIds, ...mix.recipe.map((line) => line.productId)];
  const binder = known.map((id) => findProduct(shelf, id)?.binder).find((one) => one !== undefined);
  const pots = shelf.products.filter(
    (one) => (binder === undefined || one.binder === binder) && mayBeMixed(one) && sumLeft(shelf.pots, one.id) > 0,
  );
  const product = findProduct(shelf, productId);
  const isByWeight = mix.dosing === 'scales';
  const number = Number(amount.replace(',', '.'));
  const ml = isByWeight ? number / (product?.densityGPerMl ?? 1) : Math.round(number) * mix.doseMl;
  const isRight = product !== undefined && number > 0 && (isByWeight || Number.isInteger(number));
  const save = async () => {
    setSent(true);
    const body = { productId, ml, source: isByWeight ? 'typed' : 'counted', who } as const;
    const { data } = await log({ mixId: mix.id, path: 'pours', body });
    if (!data) setSent(false);
  };
  return (
    <section aria-label="Pour from another pot" className="space-y-2 pt-2">
      <p className="text-note text-soft-ink">
        Any {binder ?? 'paint'} that can be reckoned with. It counts, and what comes next is worked out from there.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <label>
          <span className="block text-note">Which pot</span>
          <select style={{ width: '17rem' }} value={productId} onChange={(event) => setProductId(event.target.value)}>
            <option value="">choose</option>
            {pots.map((one) => (
              <option key={one.id} value={one.id}>
                {one.line} {one.name}, {formatMl(sumLeft(shelf.pots, one.id))} left
              </option>
            ))}
          </select>
        </label>
        <label>
          <span className="block text-note">{isByWeight ? 'Grams of it' : 'Drops of it'}</span>
          <input
            style={{ width: '6rem' }}
            inputMode="decimal"
            value={amount}
            onChange={(event) => setAmount(event.target.value)}
          />
        </label>
        <button
          type="button"
          className="plain-button"
          disabled={!isRight || isLoading || isSent || isStale}
          onClick={() => void save()}
        >
          {isRight ? `Log ${formatMl(ml)} of ${product.name}` : 'Log it'}
        </button>
      </div>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </section>
  );
}
