import { callWhere, listBits, type InHandLine, type Want, type WantBit } from '@sardonyx/core';
import { useState } from 'react';
import { useSetBitHereMutation } from '../../../../shared/api/stockApi.ts';
import { readAppError } from '../../../../shared/api/appError.ts';
import { formatDay } from '../../../../shared/dates/sayDates.ts';
import { readOptional } from '../../../../shared/form/readNumber.ts';
import { WAY_TO_GET_WORDS } from '../../../../shared/form/wantOptions.ts';
import { Checkbox } from '../../../../shared/ui/Checkbox.tsx';
import { Field } from '../../../../shared/ui/Field.tsx';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { useWho } from '../../../../shared/ui/useWho.ts';
import { useJob } from '../../JobContext.tsx';

/** The small bits of a want, each ticked when it is here; out of a drawer it is taken with the tick. */
export function BitList({ want }: { readonly want: Want }) {
  if (want.bits.length === 0 || want.state === 'waived') return null;
  return (
    <ul aria-label={`Small bits for ${want.what}`} className="pl-6">
      {want.bits.map((bit) => (
        <BitTick key={bit.id} want={want} bit={bit} />
      ))}
    </ul>
  );
}

function BitTick({ want, bit }: { readonly want: Want; readonly bit: WantBit }) {
  const { view, isClosed } = useJob();
  const [who] = useWho();
  const [price, setPrice] = useState('');
  const [send, { error, isLoading }] = useSetBitHereMutation();
  const line = view.supplies.find((one) => one.wantId === want.id && one.bit?.id === bit.id);
  const isPriced = bit.by === 'buy' || bit.by === 'print' || bit.by === 'make';
  return (
    <li className="py-1">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-1">
        <Checkbox
          checked={bit.isHere}
          disabled={isClosed || isLoading || who.trim() === ''}
          onChange={(isHere) =>
            void send({ wantId: want.id, bitId: bit.id, isHere, price: readOptional(price), who: who.trim() })
          }
        >
          {listBits([bit])}
        </Checkbox>
        <span className="pb-2 text-note text-soft-ink">{sayBit(bit, line)}</span>
        {!bit.isHere && isPriced && !isClosed && (
          <Field label="What it cost" isQuiet width="7rem">
            <input inputMode="decimal" value={price} onChange={(event) => setPrice(event.target.value)} />
          </Field>
        )}
      </div>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </li>
  );
}

/** Where it is, or where it is to come from. */
function sayBit(bit: WantBit, line: InHandLine | undefined): string {
  const [place] = line?.places ?? [];
  if (bit.isHere) return 'here';
  if (line?.stand === 'ordered' && line.arrivesOn) return `on its way, likely on ${formatDay(line.arrivesOn)}`;
  if (bit.by !== 'drawer') return WAY_TO_GET_WORDS[bit.by];
  if (bit.thingId === null) return 'out of a drawer: nobody said which yet';
  if (!place) return 'its drawer has none';
  const where = callWhere(place);
  return line?.stand === 'short' ? `too few of ${where}` : `in ${where}`;
}
