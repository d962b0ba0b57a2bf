import { CreateSource } from '@sardonyx/contract';
import { SOURCE_CERTAINTIES, type Source, type Variant } from '@sardonyx/core';
import { FormSelect } from '../ui/FormSelect.tsx';
import { Field } from '../ui/Field.tsx';
import { useRowForm } from '../form/useRowForm.ts';

const asYear = { setValueAs: (text: unknown) => (text === '' || text === null ? null : Number(text)) };

interface AddSourceProps {
  /** What the statement is about. */
  readonly about: Pick<Source, 'castingId' | 'specimenId'>;
  /** Issues of the casting that it may be about instead. */
  readonly variants?: readonly Variant[];
}

/** A form for what somebody says of a date. */
export function AddSource({ about, variants = [] }: AddSourceProps) {
  const { register, control, errors, save } = useRowForm({
    kind: 'sources',
    type: CreateSource,
    start: {
      ...about,
      ...{ variantId: null, statement: '', origin: '', fromYear: null, toYear: null, certainty: 'likely' as const },
    },
    labelOf: (values) => values.statement,
  });
  return (
    <form className="mt-2 grid items-start gap-3 sm:grid-cols-3" noValidate onSubmit={(event) => void save(event)}>
      {variants.length > 0 && (
        <Field label="About" error={errors.variantId?.message}>
          <FormSelect
            control={control}
            name="variantId"
            options={[
              { value: null, label: 'the casting as a whole' },
              ...variants.map((variant) => ({ value: variant.id, label: variant.name })),
            ]}
          />
        </Field>
      )}
      <Field label="What it says" error={errors.statement?.message ?? errors.root?.message}>
        <input {...register('statement')} />
      </Field>
      <Field label="Who says so, and where" error={errors.origin?.message}>
        <input {...register('origin')} />
      </Field>
      <Field label="From year" error={errors.fromYear?.message}>
        <input inputMode="decimal" {...register('fromYear', asYear)} />
      </Field>
      <Field label="To year" error={errors.toYear?.message}>
        <input inputMode="decimal" {...register('toYear', asYear)} />
      </Field>
      <Field label="How certain" error={errors.certainty?.message}>
        <FormSelect control={control} name="certainty" options={SOURCE_CERTAINTIES} />
      </Field>
      <button type="submit" className="plain-button justify-self-start">
        Add the statement
      </button>
    </form>
  );
}
