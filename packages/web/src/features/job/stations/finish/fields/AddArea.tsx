import type { AreaKind, AreaOutline, SpecimenPart } from '@sardonyx/core';
import { useState } from 'react';
import { createRow } from '../../../../../shared/edits/editRow.ts';
import { Toggles } from '../../../../../shared/ui/Toggles.tsx';
import { useJob } from '../../../JobContext.tsx';
import { useAppDispatch } from '../../../../../shared/store.ts';
import { Checkbox } from '../../../../../shared/ui/Checkbox.tsx';
import { Field } from '../../../../../shared/ui/Field.tsx';

interface AddAreaProps {
  readonly part: SpecimenPart;
  /** Where somebody drew it; null: by its name only. */
  readonly outline: AreaOutline | null;
  readonly onLeave: () => void;
  readonly onAdded: (name: string) => void;
}

/** A place on the part with coats of its own: a roof, a stripe, a grille. */
export function AddArea({ part, outline, onLeave, onAdded }: AddAreaProps) {
  const dispatch = useAppDispatch();
  const { specimen } = useJob();
  const [kind, setKind] = useState<AreaKind>('mask');
  const [typed, setName] = useState('');
  const isField = kind === 'mask';
  const name = isField ? typed.trim() : kind;
  const has = new Set(specimen.areas.filter((one) => one.specimenPartId === part.id).map((one) => one.kind));
  const faces = (['underside', 'inside'] as const).filter((face) => !has.has(face));
  const [crossesSeam, setCrossesSeam] = useState(false);
  const [problem, setProblem] = useState('');
  const add = async () => {
    const refused = await dispatch(
      createRow({
        kind: 'areas',
        body: {
          ...{ specimenPartId: part.id, kind, name, crossesSeam: isField && crossesSeam },
          ...{ reliefUm: null, size: null, outline: isField ? outline : null },
        },
        label: `${part.name}: ${name}`,
        isShownInPlace: true,
      }),
    ).unwrap();
    setProblem(refused ? (refused.fields?.name ?? refused.message) : '');
    if (refused) return;
    onAdded(name);
    onLeave();
  };
  return (
    <form
      className="flex flex-wrap items-end gap-3 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      {faces.length > 0 && (
        <Toggles
          aria-label="What it is"
          value={kind}
          options={[
            { value: 'mask', label: 'a field of its own colour' },
            ...faces.map((face) => ({ value: face, label: `the ${face}` })),
          ]}
          onChange={setKind}
        />
      )}
      {isField && (
        <>
          <Field label="What it is called" error={problem}>
            <input
              value={typed}
              maxLength={60}
              placeholder="roof, stripe, grille"
              onChange={(event) => setName(event.target.value)}
            />
          </Field>
          <Checkbox checked={crossesSeam} onChange={setCrossesSeam}>
            It crosses a joint
          </Checkbox>
        </>
      )}
      {!isField && problem && <p role="alert">{problem}</p>}
      <button type="submit" className="main-button">
        {isField && !outline ? 'Add it by its name' : 'Add the area'}
      </button>
      <button type="button" className="quiet-button" onClick={onLeave}>
        Leave it
      </button>
    </form>
  );
}
