import type { SpecimenPart } from '@sardonyx/core';
import { useState } from 'react';
import { createRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { Checkbox } from '../../../../shared/ui/Checkbox.tsx';
import { Field } from '../../../../shared/ui/Field.tsx';
import { Fold } from '../../../../shared/ui/Fold.tsx';

/** A place on the part with coats of its own: a roof, a stripe, a grille. */
export function AddArea({ part }: { readonly part: SpecimenPart }) {
  const dispatch = useAppDispatch();
  const [name, setName] = useState('');
  const [crossesSeam, setCrossesSeam] = useState(false);
  const [problem, setProblem] = useState('');
  const add = async () => {
    const refused = await dispatch(
      createRow({
        kind: 'areas',
        body: {
          ...{ specimenPartId: part.id, kind: 'mask', name: name.trim(), crossesSeam },
          ...{ reliefUm: null, size: null, outline: null },
        },
        label: `${part.name}: ${name.trim()}`,
        isShownInPlace: true,
      }),
    ).unwrap();
    setProblem(refused ? (refused.fields?.name ?? refused.message) : '');
    if (!refused) setName('');
  };
  return (
    <Fold title={`Another area on the ${part.name.toLowerCase()}`}>
      <form
        className="flex flex-wrap items-end gap-3 py-2"
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <Field label="What it is called" error={problem}>
          <input
            value={name}
            maxLength={60}
            placeholder="roof, stripe, grille"
            onChange={(event) => setName(event.target.value)}
          />
        </Field>
        <Checkbox checked={crossesSeam} onChange={setCrossesSeam}>
          It crosses a joint
        </Checkbox>
        <button type="submit" className="plain-button">
          Add the area
        </button>
      </form>
    </Fold>
  );
}
