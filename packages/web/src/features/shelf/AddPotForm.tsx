import { FINISHES, type Finish, type PaintProduct } from '@sardonyx/core';
import { useState, type FormEvent } from 'react';
import { ColourField } from '../../shared/ui/ColourField.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { useAddPotMutation } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { useWho } from '../../shared/ui/useWho.ts';

const KINDS = ['colour', 'primer', 'clear', 'brightwork', 'powder'] as const;
const BINDERS = ['enamel', 'acrylic', 'lacquer', 'ink', 'powder'] as const;
const EMPTY = { line: '', name: '', kind: 'colour', binder: 'enamel', gloss: 'gloss', colourHex: '#808080' } as const;

/** A new pot; what its sheet would say stands for a while as paints of its binder usually are. */
export function AddPotForm() {
  const [who] = useWho();
  const [add, { error, isLoading }] = useAddPotMutation();
  const [fields, setFields] = useState<Record<string, string>>({ ...EMPTY, leftMl: '10', place: '' });
  const set = (name: string, value: string) => setFields({ ...fields, [name]: value });
  const save = async (event: FormEvent) => {
    event.preventDefault();
    const { data } = await add({
      ...{ line: fields.line!.trim(), name: fields.name!.trim(), place: fields.place! },
      kind: fields.kind as PaintProduct['kind'],
      binder: fields.binder as PaintProduct['binder'],
      gloss: fields.gloss as Finish,
      colourHex: fields.colourHex!,
      leftMl: Number(fields.leftMl!.replace(',', '.')),
      who: who.trim(),
    });
    if (data) setFields({ ...fields, name: '' });
  };
  const known = error === undefined ? null : readAppError(error);
  const field = (name: string, label: string, width: string) => (
    <Field label={label} isQuiet width={width} error={known?.fields?.[name]}>
      <input value={fields[name]} onChange={(event) => set(name, event.target.value)} />
    </Field>
  );
  const choice = (name: string, label: string, options: readonly string[]) => (
    <Field label={label} isQuiet width="8.5rem" error={known?.fields?.[name]}>
      <Select value={fields[name]} options={options} onChange={(value) => set(name, value)} />
    </Field>
  );
  return (
    <form aria-label="Put a pot on the shelf" className="space-y-3" onSubmit={(event) => void save(event)}>
      <h2>Put a pot on the shelf</h2>
      <div className="flex flex-wrap items-start gap-3">
        {field('line', 'Line', '9rem')}
        {field('name', 'Name', '12rem')}
        {choice('kind', 'Kind', KINDS)}
        {choice('binder', 'Binder', BINDERS)}
        {choice('gloss', 'Finish', FINISHES)}
        <Field label="Colour" isQuiet width="13rem" error={known?.fields?.colourHex}>
          <ColourField value={fields.colourHex!} onChange={(hex) => set('colourHex', hex)} />
        </Field>
        {field('leftMl', 'Left, ml', '5rem')}
        {field('place', 'Where it stands', '9rem')}
      </div>
      <button type="submit" className="main-button" disabled={isLoading}>
        Put it there
      </button>
      {known && <ErrorNote error={known} />}
    </form>
  );
}
