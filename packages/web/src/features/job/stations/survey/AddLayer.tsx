import { CreateLayer } from '@sardonyx/contract';
import { COAT_OWNERS, LAYER_KINDS, type Area, type CoatOwner } from '@sardonyx/core';
import { ColourField } from '../../../../shared/ui/ColourField.tsx';
import { Controlled } from '../../../../shared/ui/Controlled.tsx';
import { Fold } from '../../../../shared/ui/Fold.tsx';
import { FormSelect } from '../../../../shared/ui/FormSelect.tsx';
import { Field } from '../../../../shared/ui/Field.tsx';
import { useRowForm } from '../../../../shared/form/useRowForm.ts';

export const COAT_OWNER_WORDS: Readonly<Record<CoatOwner, string>> = {
  unknown: 'nobody knows',
  factory: 'the factory',
  owner: 'an owner',
  restorer: 'a restorer',
};

/** Writes down a coating that was found, outside the ones before it. */
export function AddLayer({ area, nextSeq }: { readonly area: Area; readonly nextSeq: number }) {
  const { register, control, errors, save } = useRowForm({
    kind: 'layers',
    type: CreateLayer,
    start: {
      areaId: area.id,
      stage: 'found',
      seq: nextSeq,
      kind: 'colour',
      name: '',
      colourHex: '#808080',
      thicknessUm: 25,
      thicknessOrigin: 'planning estimate',
      productId: null,
      whose: 'unknown',
    },
    labelOf: (values) => `found ${values.name}`,
  });
  return (
    <Fold title={`Add a coating found on the ${area.name}`}>
      <form
        aria-label={`Coating found on the ${area.name}`}
        className="grid gap-2 py-2 sm:grid-cols-2"
        noValidate
        onSubmit={(event) => void save(event)}
      >
        <Field label="What is it?" error={errors.name?.message}>
          <input {...register('name')} placeholder="Factory green" />
        </Field>
        <Field label="Kind" error={errors.kind?.message}>
          <FormSelect control={control} name="kind" options={LAYER_KINDS} />
        </Field>
        <Field label="Whose coat" error={errors.whose?.message}>
          <FormSelect
            control={control}
            name="whose"
            options={COAT_OWNERS.map((owner) => ({ value: owner, label: COAT_OWNER_WORDS[owner] }))}
          />
        </Field>
        <Field label="Colour" error={errors.colourHex?.message}>
          <Controlled control={control} name="colourHex" render={(field) => <ColourField {...field} />} />
        </Field>
        <Field
          label="Thickness, µm"
          error={errors.thicknessUm?.message ?? errors.root?.message}
          hint="25 µm is a planning estimate."
        >
          <input inputMode="decimal" {...register('thicknessUm', { valueAsNumber: true })} />
        </Field>
        <button type="submit" className="plain-button">
          Add the coating
        </button>
      </form>
    </Fold>
  );
}
