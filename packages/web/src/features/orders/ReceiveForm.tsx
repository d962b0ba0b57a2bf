import type { OrderLineView } from '@sardonyx/contract';
import { QUALITIES, STOCK_KIND_NAMES, STOCK_KINDS, type Quality, type StockKind } from '@sardonyx/core';
import { useState, type FormEvent } from 'react';
import { readAppError } from '../../shared/api/appError.ts';
import { useReceiveLineMutation } from '../../shared/api/stockApi.ts';
import { readNumber, readOptional } from '../../shared/form/readNumber.ts';
import { useTextFields } from '../../shared/form/useTextFields.tsx';
import { WriteItDown } from '../../shared/form/WriteItDown.tsx';
import { capitalise } from '../../shared/format.ts';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { Toggles } from '../../shared/ui/Toggles.tsx';
import { useWho } from '../../shared/ui/useWho.ts';

/** Of things that plans call by name the kind with the same unit; most are poured. */
const usualKind = (unit: string): StockKind =>
  STOCK_KIND_NAMES.find((kind) => kind === 'liquid' && unit === STOCK_KINDS.liquid.unit) ??
  STOCK_KIND_NAMES.find((kind) => STOCK_KINDS[kind].unit === unit) ??
  'small part';

/** How a line came: how much, was it what was wanted, and where it goes. */
export function ReceiveForm({ line, onDone }: { readonly line: OrderLineView; readonly onDone: () => void }) {
  const [who] = useWho();
  const [quality, setQuality] = useState<Quality>('as wanted');
  const [kind, setKind] = useState<StockKind>(usualKind(line.unit));
  const [send, { error, isLoading }] = useReceiveLineMutation();
  const known = error === undefined ? null : readAppError(error);
  const { fields, field } = useTextFields(
    {
      ...{ amount: String(line.amount), price: line.price === null ? '' : String(Number(line.price.toFixed(2))) },
      ...{ batch: '', name: capitalise(line.what), drawer: '' },
    },
    { numbers: ['amount', 'price'], errors: known?.fields },
  );
  // A want goes to its part, a tool into the workshop, paint onto the shelf; a drawer that had it before gets it again.
  const isPlaced = [line.thingId, line.wantId, line.toolKind, line.pot].every((of) => of === null);
  const needsPlace = isPlaced && quality === 'as wanted';
  const save = async (event: FormEvent) => {
    event.preventDefault();
    const { data } = await send({
      ...{ lineId: line.id, quality, who: who.trim(), batch: fields.batch },
      amount: quality === 'not sent' ? 0 : readNumber(fields.amount),
      price: readOptional(fields.price),
      putInto: needsPlace ? { kind, name: fields.name.trim(), drawer: fields.drawer.trim() } : null,
    });
    if (data) onDone();
  };
  return (
    <form aria-label={`It came: ${line.what}`} className="space-y-3 pb-2" onSubmit={(event) => void save(event)}>
      <Toggles aria-label="How it came" isApart value={quality} options={QUALITIES} onChange={setQuality} />
      <div className="flex flex-wrap items-start gap-3">
        {quality !== 'not sent' && field('amount', `How much, ${line.unit}`, '8rem')}
        {quality !== 'not sent' && field('price', 'What all of it cost', '9rem')}
        {quality === 'as wanted' && line.wantId === null && field('batch', 'Batch', '7rem')}
        {needsPlace && (
          <>
            <Field label="It is" isQuiet width="9rem">
              <Select value={kind} options={STOCK_KIND_NAMES} onChange={setKind} />
            </Field>
            {field('name', 'Called', '12rem')}
            {field('drawer', 'Drawer', '6rem')}
          </>
        )}
      </div>
      <p className="text-note text-soft-ink">{sayWhatFollows(line, quality)}</p>
      <WriteItDown isSending={isLoading} isMain error={known} />
    </form>
  );
}

function sayWhatFollows({ wantId, bitId, jobNumber, toolKind, pot }: OrderLineView, quality: Quality): string {
  if (quality !== 'as wanted')
    return wantId === null || bitId !== null
      ? 'It goes nowhere, and is wanted again.'
      : 'The want stays open, to be ordered again.';
  if (bitId !== null) return 'The small bit is here; it is fitted with its part.';
  if (wantId !== null)
    return 'The want is met: its part knows where it is from. It is tried on before anything is painted.';
  if (pot !== null) return 'It goes into its pot on the shelf.';
  if (toolKind !== null) return 'It hangs in the workshop, ready.';
  return jobNumber ? `It is put by for ${jobNumber}.` : 'It lies in its drawer, for whoever needs it first.';
}
