import type { MeasuredSize, SizeUnit } from '@sardonyx/core';
import { useState } from 'react';
import { Select } from '../ui/Select.tsx';
import { readNumber } from './readNumber.ts';

/** A careful reading with calipers or scales scatters by this much (planning estimates). */
const USUAL_SPREAD: Readonly<Record<SizeUnit, number>> = { mm: 0.1, g: 0.2 };

interface TypeSizeProps {
  /** What is measured. */
  readonly of: string;
  /** More than one can be chosen from. */
  readonly units: readonly SizeUnit[];
  readonly act: string;
  readonly onTyped: (size: MeasuredSize) => void;
}

/** A length or a mass with its spread, by hand. */
export function TypeSize({ of, units, act, onTyped }: TypeSizeProps) {
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState(units[0]!);
  const [spread, setSpread] = useState('');
  const value = readNumber(text);
  const sd = spread.trim() ? readNumber(spread) : USUAL_SPREAD[chosen];
  const isSize = value > 0 && sd > 0;
  return (
    <form
      className="flex flex-wrap items-end gap-3 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (!isSize) return;
        onTyped({ value, unit: chosen, sd });
        setText('');
        setSpread('');
      }}
    >
      <label>
        <span className="block text-note">
          {of}, {units.length > 1 ? 'measured' : chosen}
        </span>
        <input
          style={{ width: '6rem' }}
          inputMode="decimal"
          value={text}
          aria-invalid={text.trim() !== '' && !(value > 0)}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      {units.length > 1 && (
        <Select
          aria-label={`${of}: unit`}
          value={chosen}
          options={units}
          onChange={setChosen}
          style={{ width: '5rem' }}
        />
      )}
      <label>
        <span className="block text-note">give or take</span>
        <input
          style={{ width: '5rem' }}
          inputMode="decimal"
          placeholder={String(USUAL_SPREAD[chosen])}
          value={spread}
          onChange={(event) => setSpread(event.target.value)}
        />
      </label>
      <button type="submit" className="plain-button" disabled={!isSize}>
        {act}
      </button>
    </form>
  );
}
