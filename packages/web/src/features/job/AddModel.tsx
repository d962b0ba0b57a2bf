import { AddSpecimen, type CatalogueView } from '@sardonyx/contract';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Checkbox } from '../../shared/ui/Checkbox.tsx';
import { Controlled } from '../../shared/ui/Controlled.tsx';
import { ChooseCasting } from '../../shared/form/ChooseCasting.tsx';
import { useAddSpecimenMutation, useGetCatalogueQuery } from '../../shared/api/api.ts';
import { Field } from '../../shared/ui/Field.tsx';
import { useContractForm } from '../../shared/form/useContractForm.ts';
import { useJob } from './JobContext.tsx';

/** A trailer, a second example, or one that only gives its parts. */
export function AddModel() {
  const { data } = useGetCatalogueQuery();
  return data ? <AddModelForm castings={data.castings} /> : null;
}

function AddModelForm({ castings }: Pick<CatalogueView, 'castings'>) {
  const { view, specimen } = useJob();
  const navigate = useNavigate();
  const [add, { isLoading }] = useAddSpecimenMutation();
  const [said, setSaid] = useState('');
  const { register, control, handleSubmit, formState, showError, reset } = useContractForm(AddSpecimen, {
    name: '',
    castingId: specimen.specimen.castingId,
    isDonor: false,
  });
  const { errors } = formState;
  const save = handleSubmit(async (values) => {
    try {
      const made = await add({ jobId: view.job.id, ...values }).unwrap();
      reset();
      if (made.isDonor) setSaid(`${made.name} is in the drawer: compare the two at Identify and take what is better.`);
      else await navigate(`/jobs/${view.job.id}/identify?specimen=${encodeURIComponent(made.id)}`);
    } catch (error) {
      showError(error);
    }
  });
  return (
    <form
      className="grid items-end gap-3 border-t border-hairline py-2 sm:grid-cols-[2fr_2fr_auto_auto]"
      onSubmit={(event) => void save(event)}
      noValidate
      aria-label="Another model"
    >
      <Field label="Another model of this job" error={errors.name?.message ?? errors.root?.message}>
        <input {...register('name')} placeholder="A trailer, a second example" />
      </Field>
      <Field label="Casting" error={errors.castingId?.message}>
        <Controlled
          control={control}
          name="castingId"
          render={(field) => <ChooseCasting {...field} castings={castings} />}
        />
      </Field>
      <Controlled
        control={control}
        name="isDonor"
        render={({ value, onChange }) => (
          <Checkbox checked={value ?? false} onChange={onChange}>
            Only gives parts
          </Checkbox>
        )}
      />
      <button type="submit" className="plain-button" disabled={isLoading}>
        Add it
      </button>
      <p role="status" className="sm:col-span-4">
        {said}
      </p>
    </form>
  );
}
