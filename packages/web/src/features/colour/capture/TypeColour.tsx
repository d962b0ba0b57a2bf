import type { Geometry, Lab } from '@sardonyx/core';
import { useState } from 'react';
import { Fold } from '../../../shared/ui/Fold.tsx';
import { ChooseGeometry } from '../../../shared/form/ChooseGeometry.tsx';
import type { CaptureDraft } from './KeepCapture.tsx';

/** Numbers read elsewhere are taken to be so exact (planning estimate). */
const TYPED_SD: Lab = [0.5, 0.5, 0.5];
const FIELDS = ['L*', 'a*', 'b*'] as const;

/** L*, a*, b* by hand: a reading from elsewhere, a fan deck, an old note. */
export function TypeColour({ onTyped }: { readonly onTyped: (draft: CaptureDraft) => void }) {
  const [values, setValues] = useState(['', '', '']);
  const [geometry, setGeometry] = useState<Geometry>('gloss left out');
  const numbers = values.map((one) => (one.trim() === '' ? NaN : Number(one.replace(',', '.').replace('−', '-'))));
  const [l, a, b] = numbers as [number, number, number];
  const isRight = l >= 0 && l <= 100 && Math.abs(a) <= 128 && Math.abs(b) <= 128;
  return (
    <Fold className="border-t border-hairline pt-2" title="Type the numbers">
      <div className="flex flex-wrap items-end gap-3 py-2">
        {FIELDS.map((word, i) => (
          <label key={word}>
            <span className="block text-note">{word}</span>
            <input
              style={{ width: '5.5rem' }}
              inputMode="decimal"
              value={values[i]}
              onChange={(event) => setValues(values.map((one, at) => (at === i ? event.target.value : one)))}
            />
          </label>
        ))}
        <ChooseGeometry label="Measured with" geometry={geometry} onChoose={setGeometry} />
        <button
          type="button"
          className="plain-button"
          disabled={!isRight}
          onClick={() =>
            onTyped({
              ...{ lab: [l, a, b], sd: TYPED_SD, spectrum: null, geometry, method: 'typed' },
              ...{ photoId: null, point: null, radius: 0, origin: 'typed; its spread is a planning estimate' },
            })
          }
        >
          Take these numbers
        </button>
      </div>
      <p className="text-note text-soft-ink">
        D65, 2° observer. L* from 0 to 100, a* and b* from −128 to 128. 45/0 and photographs leave the gloss out; a
        sphere with its trap closed has it in.
      </p>
    </Fold>
  );
}
