import type { MixView, ShelfView } from '@sardonyx/contract';
import { refusePour, sumLeft, type MixState } from '@sardonyx/core';
import { useMemo, useState } from 'react';
import { Field } from '../../../shared/ui/Field.tsx';
import { Chooser, type ChooserOption } from '../../../shared/ui/Chooser.tsx';
import { describePot } from '../../../shared/form/potOptions.ts';
import { useLogMixStepMutation } from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { useWho } from '../../../shared/ui/useWho.ts';
import { findProduct, useColourBench } from '../ColourContext.tsx';
import { formatMl } from '../../../shared/colour/formatColour.ts';

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
  const options = useMemo(() => listPots(shelf, mix, state), [shelf, mix, state]);
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
        Any paint of the same binder that can be reckoned with. It counts, and what comes next is worked out from there.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <Field label="Which pot" isQuiet width="17rem">
          <Chooser value={productId} options={options} onChange={setProductId} placeholder="choose a pot" />
        </Field>
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

/** What can be poured into this mix; the rest with what forbids it. Before the first pour the recipe stands for the mix. */
function listPots(shelf: ShelfView, mix: MixView, { productIds }: MixState): ChooserOption[] {
  const ids = productIds.length ? productIds : mix.recipe.map((line) => line.productId);
  const inMix = ids.flatMap((id) => findProduct(shelf, id) ?? []);
  const pots = shelf.products.map((product) => {
    const refusal = refusePour(product, inMix, mix.doseMl, sumLeft(shelf.pots, product.id));
    const own = refusal ? { whyNot: refusal.message, group: 'Would not do' } : { group: 'Would do' };
    return { ...describePot(shelf, product), ...own };
  });
  return [...pots.filter(({ group }) => group === 'Would do'), ...pots.filter(({ group }) => group !== 'Would do')];
}
