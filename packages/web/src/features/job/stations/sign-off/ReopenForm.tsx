import { ReopenJob } from '@sardonyx/contract';
import { useReopenJobMutation } from '../../../../shared/api/recordApi.ts';
import { useContractForm } from '../../../../shared/form/useContractForm.ts';
import { Field } from '../../../../shared/ui/Field.tsx';
import { Fold } from '../../../../shared/ui/Fold.tsx';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { useWho } from '../../../../shared/ui/useWho.ts';

/** Opens a signed-off job again, with the reason; what was signed stays. */
export function ReopenForm({ jobId }: { readonly jobId: string }) {
  const [who] = useWho();
  const [reopen, { isLoading }] = useReopenJobMutation();
  const { register, handleSubmit, formState, showError } = useContractForm(ReopenJob, { who, because: '' });
  const { errors } = formState;
  const save = handleSubmit(async (values) => {
    try {
      await reopen({ jobId, ...values }).unwrap();
    } catch (error) {
      showError(error);
    }
  });
  return (
    <Fold title="Open it again">
      <form
        aria-label="Open it again"
        className="grid gap-3 pt-3 sm:grid-cols-2"
        noValidate
        onSubmit={(event) => void save(event)}
      >
        <Field label="Who opens it" error={errors.who?.message}>
          <input {...register('who')} />
        </Field>
        <Field label="Why" error={errors.because?.message} hint="The record that was signed stays beside the new one.">
          <input {...register('because')} />
        </Field>
        <div className="space-y-3 sm:col-span-2">
          <button type="submit" className="plain-button" disabled={isLoading}>
            Open the job again
          </button>
          {errors.root && <ErrorNote error={{ kind: 'refused', message: errors.root.message ?? '' }} />}
        </div>
      </form>
    </Fold>
  );
}
