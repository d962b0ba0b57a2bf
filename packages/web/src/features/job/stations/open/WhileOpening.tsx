import { CreateComingOff, CreateFoundJoint } from '@sardonyx/contract';
import { JOINT_KINDS, PHOTO_SIDES, type SpecimenPart } from '@sardonyx/core';
import { useState, type ReactNode } from 'react';
import { FormSelect } from '../../../../shared/ui/FormSelect.tsx';
import { Select } from '../../../../shared/ui/Select.tsx';
import type { Row } from '../../../../shared/api/api.ts';
import { createRow, deleteRow } from '../../../../shared/edits/editRow.ts';
import { Field } from '../../../../shared/ui/Field.tsx';
import { useRowForm } from '../../../../shared/form/useRowForm.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { useJob } from '../../JobContext.tsx';

/** While it comes apart: how each part came off, what broke, and what nobody knew of. */
export function WhileOpening() {
  const { specimen, partId, setPartId, isClosed } = useJob();
  const part = specimen.parts.find((one) => one.id === partId) ?? specimen.parts[0];
  if (!part || isClosed) return null;
  return (
    <section aria-label="While it comes apart" className="space-y-3 border border-strong-line bg-sheet p-4">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2>While it comes apart</h2>
        <Field label="Part in hand" isBeside>
          <Select
            value={part.id}
            options={specimen.parts.map((one) => ({ value: one.id, label: one.name }))}
            onChange={setPartId}
          />
        </Field>
      </div>
      <CameOff key={`off-${part.id}`} part={part} />
      <div className="grid gap-4 border-t border-hairline pt-3 lg:grid-cols-2">
        <ItBroke key={`broke-${part.id}`} part={part} />
        <HiddenJoint key={`hidden-${part.id}`} part={part} />
      </div>
      <NotesSoFar />
    </section>
  );
}

function CameOff({ part }: { readonly part: SpecimenPart }) {
  const { view } = useJob();
  const photos = view.photos.filter((photo) => photo.stage === 'during');
  const { register, control, errors, save } = useRowForm({
    kind: 'comings-off',
    type: CreateComingOff,
    start: { specimenPartId: part.id, fromSide: 'top', note: '', photoId: photos.at(-1)?.id ?? null },
    labelOf: () => `${part.name} came off`,
  });
  return (
    <form
      aria-label={`How the ${part.name} came off`}
      className="grid gap-2 sm:grid-cols-[8rem_1fr_9rem_auto] sm:items-end"
      noValidate
      onSubmit={(event) => void save(event)}
    >
      <Field label="Came off from" error={errors.fromSide?.message}>
        <FormSelect control={control} name="fromSide" options={PHOTO_SIDES} />
      </Field>
      <Field label="Which way round it sat" error={errors.note?.message ?? errors.root?.message}>
        <input {...register('note')} placeholder="Dished side outwards" />
      </Field>
      <Field label="Photograph" error={errors.photoId?.message}>
        <FormSelect
          control={control}
          name="photoId"
          options={[
            { value: null, label: 'none' },
            ...photos.map((photo, i) => ({ value: photo.id, label: `${i + 1}: ${photo.side}` })),
          ]}
        />
      </Field>
      <button type="submit" className="plain-button">
        Write it down
      </button>
    </form>
  );
}

/** A broken part becomes a finding and a want at once. */
function ItBroke({ part }: { readonly part: SpecimenPart }) {
  const dispatch = useAppDispatch();
  const [note, setNote] = useState('');
  const add = async () => {
    const body = { specimenPartId: part.id, kind: 'broken', severity: 2, note };
    const problem = await dispatch(createRow({ kind: 'findings', body, label: `${part.name} broke` })).unwrap();
    if (!problem) setNote('');
  };
  return (
    <div className="space-y-2">
      <Field
        label={`The ${part.name.toLowerCase()} broke`}
        hint="It becomes a want; the job is not signed off before that is settled."
      >
        <input
          value={note}
          placeholder="Where it broke"
          maxLength={500}
          onChange={(event) => setNote(event.target.value)}
        />
      </Field>
      <button type="button" className="plain-button" onClick={() => void add()}>
        It broke: want a new one
      </button>
    </div>
  );
}

function HiddenJoint({ part }: { readonly part: SpecimenPart }) {
  const { specimen } = useJob();
  const others = specimen.parts.filter((one) => one.id !== part.id);
  const { register, control, errors, save } = useRowForm({
    kind: 'found-joints',
    type: CreateFoundJoint,
    start: {
      specimenId: specimen.specimen.id,
      kind: 'bent tab',
      label: '',
      partKeys: [part.key, others[0]?.key ?? ''],
    },
    labelOf: (values) => `found: ${values.label}`,
  });
  return (
    <form className="space-y-2" aria-label="Hidden joint" noValidate onSubmit={(event) => void save(event)}>
      <Field
        label="A joint nobody knew of"
        error={errors.label?.message ?? errors.root?.message ?? errors.partKeys?.message}
      >
        <input {...register('label')} placeholder="tab under the seat" />
      </Field>
      <div className="grid grid-cols-2 gap-2">
        <Field label="It is a" error={errors.kind?.message}>
          <FormSelect control={control} name="kind" options={JOINT_KINDS} />
        </Field>
        <Field label={`${part.name} to`}>
          <FormSelect
            control={control}
            name="partKeys.1"
            options={others.map((one) => ({ value: one.key, label: one.name }))}
          />
        </Field>
      </div>
      <button type="submit" className="plain-button">
        Add the joint to the plan
      </button>
    </form>
  );
}

/** What was written down so far; it comes back at Close. */
function NotesSoFar() {
  const { specimen } = useJob();
  const nameOf = (id: string) => specimen.parts.find((part) => part.id === id)?.name ?? 'A part';
  if (specimen.comingsOff.length + specimen.foundJoints.length === 0) return null;
  return (
    <ul aria-label="Written down so far" className="border-t border-hairline pt-2">
      {specimen.comingsOff.map((one) => (
        <Noted key={one.id} kind="comings-off" row={one} what={`the note on the ${nameOf(one.specimenPartId)}`}>
          {nameOf(one.specimenPartId)}: off from the {one.fromSide}
          {one.note && `, ${one.note}`}
        </Noted>
      ))}
      {specimen.foundJoints.map((joint) => (
        <Noted key={joint.id} kind="found-joints" row={joint} what={joint.label}>
          Found: {joint.label}, {joint.kind}
        </Noted>
      ))}
    </ul>
  );
}

interface NotedProps {
  readonly kind: 'comings-off' | 'found-joints';
  readonly row: Row;
  readonly what: string;
  readonly children: ReactNode;
}

/** One thing written down, which can be taken away again. */
function Noted({ kind, row, what, children }: NotedProps) {
  const dispatch = useAppDispatch();
  return (
    <li className="flex items-baseline gap-3">
      <span className="grow">{children}</span>
      <button
        type="button"
        className="quiet-button"
        onClick={() => void dispatch(deleteRow({ kind, row, label: `removed ${what}` }))}
      >
        Remove
        <span className="sr-only"> {what}</span>
      </button>
    </li>
  );
}
