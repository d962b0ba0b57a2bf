import { CreateFinding, CreateWant } from '@sardonyx/contract';
import { beginBits, FINDING_KINDS, FINDING_UNITS, type SpecimenPart, type WantBit } from '@sardonyx/core';
import { useState } from 'react';
import { Controlled } from '../../../../shared/ui/Controlled.tsx';
import { FormSelect } from '../../../../shared/ui/FormSelect.tsx';
import type { ControlProps } from '../../../../shared/ui/controlProps.ts';
import { Field } from '../../../../shared/ui/Field.tsx';
import { useRowForm } from '../../../../shared/form/useRowForm.ts';
import { useJob } from '../../JobContext.tsx';
import { WANT_KIND_OPTIONS, WAY_TO_GET_OPTIONS } from '../../../../shared/form/wantOptions.ts';

export const SEVERITY_WORDS: Readonly<Record<number, string>> = {
  1: 'cosmetic',
  2: 'must be mended',
  3: 'stops the work',
};

export function AddFinding({ part }: { readonly part: SpecimenPart }) {
  const { register, control, errors, save } = useRowForm({
    kind: 'findings',
    type: CreateFinding,
    start: {
      ...{ specimenPartId: part.id, kind: 'chips', feature: '', severity: 1, note: '' },
      ...{ measuredValue: null, measuredUnit: 'mm' },
    },
    labelOf: (values) => `${part.name}: ${values.feature ? `${values.feature} ` : ''}${values.kind}`,
  });
  return (
    <form
      className="space-y-2"
      noValidate
      onSubmit={(event) => void save(event)}
      aria-label={`Finding on the ${part.name}`}
    >
      <div className="grid grid-cols-2 gap-2">
        <Field label="Finding" error={errors.kind?.message}>
          <FormSelect control={control} name="kind" options={FINDING_KINDS} />
        </Field>
        <Field label="How bad" error={errors.severity?.message}>
          <FormSelect
            control={control}
            name="severity"
            options={[1, 2, 3].map((severity) => ({ value: severity, label: SEVERITY_WORDS[severity]! }))}
          />
        </Field>
      </div>
      <Field
        label="Of what on it"
        hint="A pillar, hook, tab, post. Empty: the whole part."
        error={errors.feature?.message}
      >
        <input {...register('feature')} />
      </Field>
      <Field label="Where and how" error={errors.note?.message ?? errors.root?.message}>
        <input {...register('note')} />
      </Field>
      <div className="grid grid-cols-2 gap-2">
        <Field label="Measured" error={errors.measuredValue?.message}>
          <input
            inputMode="decimal"
            {...register('measuredValue', { setValueAs: (value: string | null) => (value ? Number(value) : null) })}
          />
        </Field>
        <Field label="In" error={errors.measuredUnit?.message}>
          <FormSelect control={control} name="measuredUnit" options={FINDING_UNITS} />
        </Field>
      </div>
      <button type="submit" className="plain-button">
        Add the finding
      </button>
    </form>
  );
}

export function AddWant({ part }: { readonly part: SpecimenPart }) {
  const { specimen } = useJob();
  const usual = specimen.casting?.parts.find((candidate) => candidate.key === part.key)?.dependentBits ?? '';
  const { register, control, errors, save } = useRowForm({
    kind: 'wants',
    type: CreateWant,
    start: {
      specimenPartId: part.id,
      kind: 'part',
      what: '',
      getBy: null,
      bits: beginBits(usual),
      state: 'open',
      solution: '',
      reason: '',
      dueOn: null,
    },
    labelOf: (values) => `want: ${values.what}`,
  });
  return (
    <form
      className="space-y-2"
      noValidate
      onSubmit={(event) => void save(event)}
      aria-label={`Want for the ${part.name}`}
    >
      <Field label="What is wanted" error={errors.what?.message}>
        <input {...register('what')} placeholder="What is missing or broken" />
      </Field>
      <div className="grid grid-cols-2 gap-2">
        <Field label="Kind" error={errors.kind?.message}>
          <FormSelect control={control} name="kind" options={WANT_KIND_OPTIONS} />
        </Field>
        <Field label="Come by it" error={errors.getBy?.message}>
          <FormSelect control={control} name="getBy" options={WAY_TO_GET_OPTIONS} />
        </Field>
      </div>
      <Field
        label="Small bits it needs with it"
        hint="Apart by commas; each becomes a line of the want."
        error={errors.bits?.message ?? errors.root?.message}
      >
        <Controlled
          control={control}
          name="bits"
          render={({ value: _, onLeave: __, ...field }) => <BitsInput {...field} start={usual} />}
        />
      </Field>
      <button type="submit" className="plain-button">
        Add the want
      </button>
    </form>
  );
}

interface BitsInputProps extends ControlProps {
  readonly start: string;
  readonly onChange: (bits: WantBit[]) => void;
}

function BitsInput({ start, onChange, ...field }: BitsInputProps) {
  const [text, setText] = useState(start);
  return (
    <input
      {...field}
      value={text}
      onChange={(event) => {
        setText(event.target.value);
        onChange(beginBits(event.target.value));
      }}
    />
  );
}
