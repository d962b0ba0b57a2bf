import {
  addPart,
  JOINT_KINDS,
  MATERIALS,
  type BuildDraft,
  type JointKind,
  type Material,
  type PartShape,
} from '@sardonyx/core';
import { useState } from 'react';
import { Field } from '../../../shared/ui/Field.tsx';
import { Fold } from '../../../shared/ui/Fold.tsx';
import { PlusIcon } from '../../../shared/ui/icons.ts';
import { Select } from '../../../shared/ui/Select.tsx';
import { nameOfShape, SHAPE_OPTIONS, usualKind } from './buildWords.ts';

interface AddPartProps {
  readonly draft: BuildDraft;
  /** What is in hand holds it, unless somebody says otherwise. */
  readonly holder: string | null;
  readonly onAdd: (next: BuildDraft) => void;
}

/** A part more: what it looks like names it, says what it usually is made of, and how it is usually held. */
export function AddPart({ draft, holder, onAdd }: AddPartProps) {
  const [shape, setShape] = useState<PartShape | undefined>(undefined);
  const [name, setName] = useState('');
  const [material, setMaterial] = useState<Material>('zinc alloy');
  const [heldBy, setHeldBy] = useState<string | null | undefined>(undefined);
  const [kind, setKind] = useState<JointKind>('push fit');
  const partKey = heldBy === undefined ? holder : heldBy;
  const look = (next: PartShape) => {
    setShape(next);
    setName(nameOfShape(next));
    setKind(usualKind(next));
  };
  return (
    <Fold title="Add a part" className="border-t border-strong-line pt-2">
      <div className="grid gap-3 py-2 sm:grid-cols-2">
        <Field label="It looks like">
          <Select value={shape} placeholder="choose its look" options={SHAPE_OPTIONS} onChange={look} />
        </Field>
        <Field label="It is called">
          <input value={name} maxLength={60} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Field label="It is made of">
          <Select value={material} options={MATERIALS} onChange={setMaterial} />
        </Field>
        <Field label="It is held by the">
          <Select
            value={partKey}
            options={[
              ...draft.parts.map((part) => ({ value: part.key as string | null, label: part.name })),
              { value: null, label: 'nothing: it lies loose' },
            ]}
            onChange={setHeldBy}
          />
        </Field>
        {partKey !== null && (
          <Field label="with a">
            <Select value={kind} options={JOINT_KINDS} onChange={setKind} />
          </Field>
        )}
      </div>
      <button
        type="button"
        className="plain-button"
        disabled={!shape || name.trim() === ''}
        onClick={() => {
          if (!shape) return;
          onAdd(
            addPart(draft, { name: name.trim(), shape, material, held: partKey === null ? null : { partKey, kind } }),
          );
          setShape(undefined);
          setName('');
          setHeldBy(undefined);
        }}
      >
        <PlusIcon aria-hidden size={18} /> Add it
      </button>
    </Fold>
  );
}
