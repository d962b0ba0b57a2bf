import { SignOff } from '@sardonyx/contract';
import { useContractForm } from '../../../../shared/form/useContractForm.ts';
import { useGetLacksQuery, useSignOffMutation } from '../../../../shared/api/recordApi.ts';
import { Field } from '../../../../shared/ui/Field.tsx';
import { HeldButton } from '../../../../shared/ui/HeldButton.tsx';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { useWho } from '../../../../shared/ui/useWho.ts';
import { LackList } from './LackList.tsx';

const NONE: readonly never[] = [];

/** Signs a job: what its record lacks is asked for, or given a reason. */
export function SignForm({ jobId }: { readonly jobId: string }) {
  const [who] = useWho();
  const { data: lacks = NONE } = useGetLacksQuery(jobId);
  const [signOff, { isLoading }] = useSignOffMutation();
  const { register, handleSubmit, formState, showError, clearErrors } = useContractForm(SignOff, { who, because: '' });
  const { errors } = formState;
  const sign = handleSubmit(async (values) => {
    clearErrors();
    try {
      await signOff({ jobId, ...values }).unwrap();
    } catch (error) {
      showError(error);
    }
  });
  return (
    <form aria-label="Sign off" className="space-y-3" noValidate onSubmit={(event) => event.preventDefault()}>
      <LackList jobId={jobId} lacks={lacks} />
      <div className="grid gap-3 sm:grid-cols-2">
        <Field label="Signed by" error={errors.who?.message}>
          <input {...register('who')} />
        </Field>
        {lacks.length > 0 && (
          <Field
            label="Why it is signed without"
            error={errors.because?.message}
            hint="Stands in the record, beside what is missing."
          >
            <input {...register('because')} />
          </Field>
        )}
      </div>
      <HeldButton disabled={isLoading} onHeld={() => void sign()}>
        Sign it off: the record is kept as it is now
      </HeldButton>
      {errors.root && <ErrorNote error={{ kind: 'refused', message: errors.root.message ?? '' }} />}
    </form>
  );
}
