import type { Geometry, LabColour } from '@sardonyx/core';
import { useState } from 'react';
import { ChooseGeometry } from '../form/ChooseGeometry.tsx';
import { readNumber } from '../form/readNumber.ts';

const AXES = ['L*', 'a*', 'b*'] as const;
/** Numbers read elsewhere are taken to be so exact, each coordinate (planning estimate). */
const TYPED_SD: LabColour = [0.5, 0.5, 0.5];
const EMPTY = ['', '', ''];

interface TypeLabProps {
  /** What stands behind "L*" where several of them are on a page. */
  readonly of?: string;
  readonly act: string;
  readonly onTyped: (typed: { readonly lab: LabColour; readonly sd: LabColour; readonly geometry: Geometry }) => void;
}

/** L*, a*, b* by hand, with or without the gloss. */
export function TypeLab({ of, act, onTyped }: TypeLabProps) {
  const [values, setValues] = useState(EMPTY);
  const [geometry, setGeometry] = useState<Geometry>('gloss left out');
  const [l, a, b] = values.map(readNumber) as [number, number, number];
  const isColour = l >= 0 && l <= 100 && Math.abs(a) <= 128 && Math.abs(b) <= 128;
  return (
    <div className="flex flex-wrap items-end gap-3 py-2">
      {AXES.map((axis, i) => (
        <label key={axis}>
          <span className="block text-note">{of ? `${axis} of ${of}` : axis}</span>
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
        disabled={!isColour}
        onClick={() => {
          onTyped({ lab: [l, a, b], sd: TYPED_SD, geometry });
          setValues(EMPTY);
        }}
      >
        {act}
      </button>
    </div>
  );
}
