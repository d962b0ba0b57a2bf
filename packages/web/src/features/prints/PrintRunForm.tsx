import type { PrintableWant, PrintView } from '@sardonyx/contract';
import { MESH_AXES, type MeshAxis } from '@sardonyx/core';
import { useState, type FormEvent } from 'react';
import { readAppError } from '../../shared/api/appError.ts';
import { useLogPrintMutation } from '../../shared/api/stockApi.ts';
import { readNumber, readOptional } from '../../shared/form/readNumber.ts';
import { useThingOptions } from '../../shared/stock/useThingOptions.ts';
import { useTextFields } from '../../shared/form/useTextFields.tsx';
import { WriteItDown } from '../../shared/form/WriteItDown.tsx';
import { Chooser } from '../../shared/ui/Chooser.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { useWho } from '../../shared/ui/useWho.ts';

const NOBODY = '';
/** What calipers are off by where nobody says otherwise, mm. */
const CALIPERS_SD = 0.03;
const EMPTY = { copies: '1', cure: '', mm: '', price: '', note: '' };

interface PrintRunFormProps {
  readonly print: PrintView;
  readonly wants: readonly PrintableWant[];
}

/** Copies were printed: how many, how they were cured, what one measures, what they are for. */
export function PrintRunForm({ print, wants }: PrintRunFormProps) {
  const [who] = useWho();
  const [axis, setAxis] = useState<MeshAxis>('x');
  const [wantId, setWantId] = useState(NOBODY);
  const [thingId, setThingId] = useState(NOBODY);
  const [send, { error, isLoading }] = useLogPrintMutation();
  const known = error === undefined ? null : readAppError(error);
  const { fields, setFields, field } = useTextFields(EMPTY, {
    ...{ numbers: ['copies', 'mm', 'price'], errors: known?.fields },
  });
  const save = async (event: FormEvent) => {
    event.preventDefault();
    const mm = readOptional(fields.mm);
    const { data } = await send({
      ...{ printId: print.id, copies: readNumber(fields.copies), cure: fields.cure.trim(), note: fields.note.trim() },
      measure: mm === null ? null : { axis, mm, sdMm: CALIPERS_SD },
      price: readOptional(fields.price),
      ...{ wantId: wantId || null, thingId: thingId || null, who: who.trim() },
    });
    if (!data) return;
    setFields(EMPTY);
    setWantId(NOBODY);
  };
  const things = useThingOptions();
  return (
    <Fold className="border-t border-strong-line pt-3" title="Copies were printed" isOpen={wants.length > 0}>
      <form aria-label={`Copies of ${print.name}`} className="space-y-3 pt-2" onSubmit={(event) => void save(event)}>
        <div className="flex flex-wrap items-start gap-3">
          {field('copies', 'Copies', '5rem')}
          {field('cure', 'Washed and cured', '14rem')}
          {field('mm', 'One measures, cured, mm', '11rem', 'measure.mm')}
          <Field label="along" isQuiet width="5rem">
            <Select value={axis} options={MESH_AXES} onChange={setAxis} />
          </Field>
          {field('price', 'What all of it cost', '9rem')}
          <Field label="One is for" isQuiet width="15rem" error={known?.fields?.wantId}>
            <Select
              value={wantId}
              options={[
                { value: NOBODY, label: 'no want' },
                ...wants.map((want) => ({ value: want.wantId, label: `${want.what}, ${want.jobNumber}` })),
              ]}
              onChange={setWantId}
            />
          </Field>
          <Field label="The others lie with" isQuiet width="15rem" error={known?.fields?.thingId}>
            <Chooser
              value={thingId}
              options={[{ value: NOBODY, label: 'no drawer' }, ...things]}
              placeholder="no drawer"
              onChange={setThingId}
            />
          </Field>
          {field('note', 'Note', '14rem')}
        </div>
        <p className="text-note">
          <strong>Uncured resin harms skin and eyes:</strong> nitrile gloves, goggles and fresh air; the resin’s own
          sheet and local rules go first, for its waste too.
        </p>
        <WriteItDown isSending={isLoading} error={known} />
      </form>
    </Fold>
  );
}
