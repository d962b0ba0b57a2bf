import { CreateJob } from '@sardonyx/contract';
import { JOB_SCOPES } from '@sardonyx/core';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { DateField } from '../../shared/ui/DateField.tsx';
import { Controlled } from '../../shared/ui/Controlled.tsx';
import { FormSelect } from '../../shared/ui/FormSelect.tsx';
import { ChooseCasting } from '../../shared/form/ChooseCasting.tsx';
import { useCreateJobMutation, useGetCatalogueQuery } from '../../shared/api/api.ts';
import { Field } from '../../shared/ui/Field.tsx';
import { useContractForm } from '../../shared/form/useContractForm.ts';
import { SCOPE_WORDS } from '../../shared/scopeWords.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';

/** A model comes in: what it is called, what it is (or that nobody knows), and what is wanted of it. */
export function PutOnBenchPage() {
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const { data: catalogue } = useGetCatalogueQuery();
  const [create, { isLoading }] = useCreateJobMutation();
  const { register, control, handleSubmit, formState, showError } = useContractForm(CreateJob, {
    title: '',
    castingId: params.get('casting'),
    scope: 'full',
    target: 'as issued',
    why: '',
    dueOn: null,
  });
  const { errors } = formState;
  const save = handleSubmit(async (values) => {
    try {
      const job = await create({ ...values }).unwrap();
      await navigate(`/jobs/${job.id}/identify`);
    } catch (error) {
      showError(error);
    }
  });
  return (
    <form className="mx-auto max-w-2xl space-y-4 p-6" onSubmit={(event) => void save(event)} noValidate>
      <h1>Put a model on the bench</h1>
      <p className="text-soft-ink">
        If you do not know what it is, leave the casting open: the first station finds out.
      </p>
      <Field label="What do you call it?" error={errors.title?.message}>
        <input {...register('title')} autoFocus />
      </Field>
      <Field label="Casting" error={errors.castingId?.message} hint="Its parts and joints come from the catalogue.">
        <Controlled
          control={control}
          name="castingId"
          render={(field) => <ChooseCasting {...field} castings={catalogue?.castings ?? []} />}
        />
      </Field>
      <p>
        <Link className="underline underline-offset-4" to="/catalogue/new?for=bench">
          I know what it is, but it is not in the catalogue
        </Link>
      </p>
      <div className="grid gap-4 sm:grid-cols-2">
        <Field label="How far shall it go?" error={errors.scope?.message}>
          <FormSelect
            control={control}
            name="scope"
            options={JOB_SCOPES.map((scope) => ({ value: scope, label: SCOPE_WORDS[scope] }))}
          />
        </Field>
        <Field label="What is the target?" error={errors.target?.message}>
          <FormSelect
            control={control}
            name="target"
            options={[
              { value: 'as issued', label: 'As issued by the factory' },
              { value: 'period-correct', label: 'True to the real vehicle' },
              { value: 'custom', label: 'Custom' },
            ]}
          />
        </Field>
      </div>
      <Field label="Why this one?" error={errors.why?.message} hint="Goes into its record.">
        <textarea rows={2} {...register('why')} />
      </Field>
      <Field label="Due on" error={errors.dueOn?.message} hint="Leave empty when nobody waits for it.">
        <Controlled
          control={control}
          name="dueOn"
          render={(field) => (
            <DateField {...field} value={field.value ?? ''} onChange={(day) => field.onChange(day || null)} />
          )}
        />
      </Field>
      {errors.root && <ErrorNote error={{ kind: 'bad input', message: errors.root.message ?? '' }} />}
      <button type="submit" className="main-button" disabled={isLoading}>
        Put it on the bench
      </button>
    </form>
  );
}
