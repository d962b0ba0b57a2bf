import { WAYS_TO_GET_BITS, type WantBit, type WayToGetBit } from '@sardonyx/core';
import { useState } from 'react';
import { readNumber } from '../../../../shared/form/readNumber.ts';
import { WAY_TO_GET_WORDS } from '../../../../shared/form/wantOptions.ts';
import { useThingOptions } from '../../../../shared/stock/useThingOptions.ts';
import { Chooser } from '../../../../shared/ui/Chooser.tsx';
import { Field } from '../../../../shared/ui/Field.tsx';
import { Select } from '../../../../shared/ui/Select.tsx';

interface BitsEditorProps {
  readonly bits: readonly WantBit[];
  readonly onChange: (bits: readonly WantBit[]) => void;
}

const WAYS = WAYS_TO_GET_BITS.map((value) => ({
  value,
  label: value === 'drawer' ? 'out of a drawer' : WAY_TO_GET_WORDS[value],
}));

/** The next name that no bit of the want has. */
const nextId = (bits: readonly WantBit[]): string =>
  `bit-${1 + Math.max(0, ...bits.map(({ id }) => Number(/\d+$/.exec(id)?.[0] ?? 0)))}`;

/** Small bits as lines: what, how many, and where each comes from. What is here already stands as it is. */
export function BitsEditor({ bits, onChange }: BitsEditorProps) {
  const change = (id: string, changes: Partial<WantBit>) =>
    onChange(bits.map((bit) => (bit.id === id ? { ...bit, ...changes } : bit)));
  const add = () =>
    onChange([
      ...bits,
      { id: nextId(bits), what: '', amount: 1, by: 'drawer', thingId: null, isHere: false, price: null },
    ]);
  return (
    <fieldset className="space-y-2">
      <legend className="font-semibold">Small bits it needs with it</legend>
      {bits.map((bit) =>
        bit.isHere ? (
          <p key={bit.id} className="text-soft-ink">
            {bit.what}: here
          </p>
        ) : (
          <BitLine
            key={bit.id}
            bit={bit}
            onChange={(changes) => change(bit.id, changes)}
            onRemove={() => onChange(bits.filter(({ id }) => id !== bit.id))}
          />
        ),
      )}
      <button type="button" className="quiet-button" onClick={add}>
        Add a small bit
      </button>
    </fieldset>
  );
}

interface BitLineProps {
  readonly bit: WantBit;
  readonly onChange: (changes: Partial<WantBit>) => void;
  readonly onRemove: () => void;
}

function BitLine({ bit, onChange, onRemove }: BitLineProps) {
  const [amount, setAmount] = useState(String(bit.amount));
  const things = useThingOptions();
  const name = bit.what || 'a small bit';
  return (
    <div role="group" aria-label={name} className="flex flex-wrap items-end gap-2 border-t border-hairline pt-2">
      <Field label="What" isQuiet width="11rem">
        <input value={bit.what} onChange={(event) => onChange({ what: event.target.value })} />
      </Field>
      <Field label="How many" isQuiet width="5rem">
        <input
          inputMode="decimal"
          value={amount}
          onChange={(event) => {
            setAmount(event.target.value);
            onChange({ amount: readNumber(event.target.value) });
          }}
        />
      </Field>
      <Field label="Come by it" isQuiet width="11rem">
        <Select<WayToGetBit>
          value={bit.by}
          options={WAYS}
          onChange={(by) => onChange({ by, thingId: by === 'drawer' ? bit.thingId : null })}
        />
      </Field>
      {bit.by === 'drawer' && (
        <Field label="Which" isQuiet width="16rem">
          <Chooser
            value={bit.thingId ?? ''}
            options={things}
            placeholder="choose from the drawers"
            onChange={(thingId) => onChange({ thingId })}
          />
        </Field>
      )}
      <button type="button" className="quiet-button" onClick={onRemove}>
        Remove<span className="sr-only"> {name}</span>
      </button>
    </div>
  );
}
