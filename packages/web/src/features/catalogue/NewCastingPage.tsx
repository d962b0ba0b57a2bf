import { CreateCasting } from '@sardonyx/contract';
import { BODY_TYPES, JOINT_KINDS, MATERIALS, PART_ROLES } from '@sardonyx/core';
import { useFieldArray, useWatch } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { Sign } from '../../shared/ui/Sign.tsx';
import { Checkbox } from '../../shared/ui/Checkbox.tsx';
import { Controlled } from '../../shared/ui/Controlled.tsx';
import { FormSelect } from '../../shared/ui/FormSelect.tsx';
import { useCreateCastingMutation, useGetCatalogueQuery } from '../../shared/api/api.ts';
import { Field } from '../../shared/ui/Field.tsx';
import { useContractForm } from '../../shared/form/useContractForm.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';

const part = (
  key: string,
  name: string,
  role: (typeof PART_ROLES)[number],
  material: (typeof MATERIALS)[number],
  count = 1,
) => ({ key, name, role, material, count });

const START: CreateCasting = {
  rangeId: 'own',
  number: '',
  name: '',
  bodyType: 'saloon',
  lengthMm: 65,
  wheelbaseMm: 38,
  construction: '',
  parts: [
    part('body', 'Body', 'body', 'zinc alloy'),
    part('base', 'Base', 'base', 'tinplate'),
    part('glazing', 'Glazing', 'glazing', 'clear styrene'),
    part('wheels', 'Wheels', 'wheel', 'hard plastic', 4),
    part('axles', 'Axles', 'axle', 'steel', 2),
  ],
  joints: [
    { label: 'front post', kind: 'rivet post', partKeys: ['body', 'base'] },
    { label: 'axle ends', kind: 'formed axle', partKeys: ['base', 'axles', 'wheels'] },
    { label: 'glazing', kind: 'push fit', partKeys: ['body', 'glazing'] },
  ],
};

const OWN_RANGE = { value: 'own', label: 'My own castings' };

/** The short form for a casting of one's own: sizes, parts, joints. Its drawing is laid out from them. */
export function NewCastingPage() {
  const navigate = useNavigate();
  const { data: catalogue } = useGetCatalogueQuery();
  const [create, { isLoading }] = useCreateCastingMutation();
  const form = useContractForm(CreateCasting, START);
  const { register, handleSubmit, formState, control, showError } = form;
  const known = (catalogue?.ranges ?? []).map((range) => ({
    value: range.id,
    label: `${range.makerName}, ${range.name}`,
  }));
  const ranges = known.some(({ value }) => value === OWN_RANGE.value) ? known : [OWN_RANGE, ...known];
  const parts = useFieldArray({ control, name: 'parts' });
  const joints = useFieldArray({ control, name: 'joints' });
  const named = useWatch({ control, name: 'parts' });
  const { errors } = formState;
  const save = handleSubmit(async (values) => {
    try {
      const casting = await create({ ...values }).unwrap();
      await navigate(`/catalogue/${casting.id}`);
    } catch (error) {
      showError(error);
    }
  });
  return (
    <form className="mx-auto max-w-4xl space-y-5 p-6" noValidate onSubmit={(event) => void save(event)}>
      <h1>Add a casting of your own</h1>
      <div className="grid gap-4 sm:grid-cols-3">
        <Field label="Range" error={errors.rangeId?.message}>
          <FormSelect control={control} name="rangeId" options={ranges} />
        </Field>
        <Field label="Number" error={errors.number?.message} hint="As cast on it; the stroke after a slash.">
          <input {...register('number')} />
        </Field>
        <Field label="Name" error={errors.name?.message}>
          <input {...register('name')} />
        </Field>
        <Field label="Kind of vehicle" error={errors.bodyType?.message}>
          <FormSelect control={control} name="bodyType" options={BODY_TYPES} />
        </Field>
        <Field label="Length, mm" error={errors.lengthMm?.message}>
          <input inputMode="decimal" {...register('lengthMm', { valueAsNumber: true })} />
        </Field>
        <Field label="Wheelbase, mm" error={errors.wheelbaseMm?.message}>
          <input inputMode="decimal" {...register('wheelbaseMm', { valueAsNumber: true })} />
        </Field>
      </div>
      <Field label="How it is built" error={errors.construction?.message}>
        <input {...register('construction')} placeholder="Two posts under the base." />
      </Field>
      <fieldset className="space-y-2">
        <legend className="text-lead font-semibold">Parts</legend>
        <div aria-hidden className="hidden gap-2 font-semibold sm:grid sm:grid-cols-[1.4fr_1fr_1.4fr_5.5rem_5rem]">
          {['Name', 'Role', 'Made of', 'How many'].map((word) => (
            <span key={word}>{word}</span>
          ))}
        </div>
        {parts.fields.map((field, i) => (
          <PartRow key={field.id} index={i} form={form} name={named[i]?.name ?? ''} onRemove={() => parts.remove(i)} />
        ))}
        <button
          type="button"
          className="plain-button"
          onClick={() => parts.append(part(nextKey(named), 'Trim', 'trim', 'zinc alloy'))}
        >
          Add a part
        </button>
      </fieldset>
      <fieldset className="space-y-3">
        <legend className="text-lead font-semibold">Joints</legend>
        {joints.fields.map((field, i) => (
          <JointRow key={field.id} index={i} form={form} parts={named} onRemove={() => joints.remove(i)} />
        ))}
        <button
          type="button"
          className="plain-button"
          onClick={() => joints.append({ label: '', kind: 'rivet post', partKeys: [] })}
        >
          Add a joint
        </button>
      </fieldset>
      {errors.root && <ErrorNote error={{ kind: 'bad input', message: errors.root.message ?? '' }} />}
      <button type="submit" className="main-button" disabled={isLoading}>
        Add it to the catalogue
      </button>
    </form>
  );
}

type Form = ReturnType<typeof useContractForm<CreateCasting>>;

interface RowProps {
  readonly index: number;
  readonly form: Form;
  readonly onRemove: () => void;
}

function PartRow({ index, form, name, onRemove }: RowProps & { readonly name: string }) {
  const { register, control, formState } = form;
  const errors = formState.errors.parts?.[index];
  return (
    <div>
      <div className="grid grid-cols-2 items-center gap-2 sm:grid-cols-[1.4fr_1fr_1.4fr_5.5rem_5rem]">
        <input aria-label={`Name of part ${index + 1}`} {...register(`parts.${index}.name`)} />
        <FormSelect
          control={control}
          name={`parts.${index}.role`}
          aria-label={`Role of ${name}`}
          options={PART_ROLES}
        />
        <FormSelect
          control={control}
          name={`parts.${index}.material`}
          aria-label={`What ${name} is made of`}
          options={MATERIALS}
        />
        <input
          aria-label={`How many of ${name}`}
          inputMode="numeric"
          {...register(`parts.${index}.count`, { valueAsNumber: true })}
        />
        <button type="button" className="quiet-button" aria-label={`Remove part ${name}`} onClick={onRemove}>
          Remove
        </button>
      </div>
      {(errors?.name ?? errors?.count) && (
        <p className="text-note font-semibold text-sard">
          <Sign of="warning" />
          {errors?.name?.message ?? errors?.count?.message}
        </p>
      )}
    </div>
  );
}

function JointRow({ index, form, parts, onRemove }: RowProps & { readonly parts: CreateCasting['parts'] }) {
  const { register, control, formState } = form;
  const errors = formState.errors.joints?.[index];
  return (
    <div className="border-t border-hairline pt-2">
      <div className="grid grid-cols-2 items-center gap-2 sm:grid-cols-[1.4fr_1fr_5rem]">
        <input
          aria-label={`Name of joint ${index + 1}`}
          placeholder="front post"
          {...register(`joints.${index}.label`)}
        />
        <FormSelect
          control={control}
          name={`joints.${index}.kind`}
          aria-label={`Kind of joint ${index + 1}`}
          options={JOINT_KINDS}
        />
        <button type="button" className="quiet-button" aria-label={`Remove joint ${index + 1}`} onClick={onRemove}>
          Remove
        </button>
      </div>
      <div
        role="group"
        aria-label={`Parts that joint ${index + 1} holds together`}
        className="flex flex-wrap items-center gap-x-4 gap-y-1 pt-1"
      >
        <span className="text-soft-ink">holds together</span>
        <Controlled
          control={control}
          name={`joints.${index}.partKeys`}
          render={({ value, onChange }) => (
            <>
              {parts.map((one) => (
                <Checkbox
                  key={one.key}
                  checked={value.includes(one.key)}
                  onChange={(isHeld) => onChange(isHeld ? [...value, one.key] : value.filter((key) => key !== one.key))}
                >
                  {one.name}
                </Checkbox>
              ))}
            </>
          )}
        />
      </div>
      {(errors?.label ?? errors?.partKeys) && (
        <p className="text-note font-semibold text-sard">
          <Sign of="warning" />
          {errors?.label?.message ?? errors?.partKeys?.message}
        </p>
      )}
    </div>
  );
}

/** A key no part has yet. Restorers see names; joints and drawings go by keys. */
function nextKey(parts: CreateCasting['parts']): string {
  let count = parts.length + 1;
  while (parts.some((one) => one.key === `part-${count}`)) count++;
  return `part-${count}`;
}
