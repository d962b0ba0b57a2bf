import { ORIGINS, type Origin, type Want } from '@sardonyx/core';
import { useState } from 'react';
import { readAppError } from '../../../../shared/api/appError.ts';
import { usePutBackWantMutation, useTakeWantMutation } from '../../../../shared/api/stockApi.ts';
import { readNumber } from '../../../../shared/form/readNumber.ts';
import { useThingOptions } from '../../../../shared/stock/useThingOptions.ts';
import { Chooser } from '../../../../shared/ui/Chooser.tsx';
import { Field } from '../../../../shared/ui/Field.tsx';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { Select } from '../../../../shared/ui/Select.tsx';
import { useWho } from '../../../../shared/ui/useWho.ts';

/** A want that something in a drawer meets: taken there, and put back where somebody thinks better of it. */
export function TakeFromDrawer({ want }: { readonly want: Want }) {
  const [who] = useWho();
  const [thingId, setThingId] = useState('');
  const [amount, setAmount] = useState('1');
  const [origin, setOrigin] = useState<Origin>('bought');
  const [take, { error: refused, isLoading }] = useTakeWantMutation();
  const [putBack, { error: kept }] = usePutBackWantMutation();
  const problem = refused ?? kept;
  const known = problem === undefined ? null : readAppError(problem);
  const isNamed = who.trim() !== '';
  const things = useThingOptions();
  if (want.taken)
    return (
      <div className="space-y-2">
        <button
          type="button"
          className="plain-button"
          disabled={!isNamed}
          onClick={() => void putBack({ wantId: want.id, who: who.trim() })}
        >
          Put it back into its drawer
        </button>
        {known && <ErrorNote error={known} />}
      </div>
    );
  if (want.state !== 'open') return null;
  return (
    <fieldset className="space-y-2">
      <legend className="font-semibold">It lies in a drawer</legend>
      <div className="flex flex-wrap items-end gap-2">
        <Field label="Which" isQuiet width="16rem" error={known?.fields?.thingId}>
          <Chooser value={thingId} options={things} placeholder="choose from the drawers" onChange={setThingId} />
        </Field>
        <Field label="How many" isQuiet width="5rem" error={known?.fields?.amount}>
          <input inputMode="decimal" value={amount} onChange={(event) => setAmount(event.target.value)} />
        </Field>
        <Field label="It is" isQuiet width="9rem" error={known?.fields?.origin}>
          <Select
            value={origin}
            options={ORIGINS.filter((one) => one !== 'unknown')}
            onChange={(value) => setOrigin(value)}
          />
        </Field>
        <button
          type="button"
          className="plain-button"
          disabled={thingId === '' || isLoading || !isNamed}
          onClick={() => void take({ wantId: want.id, thingId, amount: readNumber(amount), origin, who: who.trim() })}
        >
          Take it
        </button>
      </div>
      {known && <ErrorNote error={known} />}
    </fieldset>
  );
}
