import { topUpBath, type Bath } from '@sardonyx/core';
import { useState } from 'react';
import { Sign } from '../../shared/ui/Sign.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { Checkbox } from '../../shared/ui/Checkbox.tsx';
import type { AppError } from '../../shared/api/appError.ts';
import { changeRow } from '../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';

/** What evaporated or was carried out is filled up: with water, which weakens it, or with more of the same. */
export function TopUp({ bath, mostLitres }: { readonly bath: Bath; readonly mostLitres: number }) {
  const dispatch = useAppDispatch();
  const [litres, setLitres] = useState('');
  const [isWater, setWater] = useState(false);
  const [error, setError] = useState<AppError | null>(null);
  const now = Number(litres.replace(',', '.'));
  const isRight = now > bath.litres && now <= mostLitres + 1e-9;
  const isCaustic = bath.kind === 'caustic';
  const filled = topUpBath(bath, now, isWater ? 'water' : 'the same');
  const save = async () => {
    const label = `${bath.kind} bath topped up to ${now} l`;
    setError(
      await dispatch(changeRow({ kind: 'baths', row: bath, changes: filled, label, isShownInPlace: true })).unwrap(),
    );
  };
  return (
    <Fold title="Top it up">
      <div className="flex flex-wrap items-end gap-3 py-2">
        <label>
          <span className="block text-note">
            Stands at, litres ({bath.litres} to {mostLitres.toFixed(1)})
          </span>
          <input
            style={{ width: '8rem' }}
            inputMode="decimal"
            value={litres}
            onChange={(event) => setLitres(event.target.value)}
          />
        </label>
        {isCaustic && (
          <Checkbox checked={isWater} onChange={setWater}>
            with water alone
          </Checkbox>
        )}
        <button type="button" className="plain-button" disabled={!isRight} onClick={() => void save()}>
          {isCaustic && isRight ? `Topped up: ${filled.gramsPerLitre.toFixed(0)} g per litre now` : 'Topped up'}
        </button>
      </div>
      {isCaustic && (
        <p className="text-note">
          <Sign of="warning" />
          Liquor of the same strength is made up cold by itself and poured in slowly; crystals never go into a bath that
          stands. Goggles and gloves first.
        </p>
      )}
      {error && <ErrorNote error={error} onClose={() => setError(null)} />}
    </Fold>
  );
}
