import { JOB_SCOPES, JOB_TARGETS, type Job } from '@sardonyx/core';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { changeRow } from '../../shared/edits/editRow.ts';
import { SCOPE_WORDS } from '../../shared/scopeWords.ts';
import { useAppDispatch } from '../../shared/store.ts';

/** How far the job goes and what it is to become, also after it began: what is done stays done, the plan follows. */
export function HowFar({ job }: { readonly job: Job }) {
  const dispatch = useAppDispatch();
  const change = (changes: Partial<Pick<Job, 'scope' | 'target'>>, label: string) =>
    void dispatch(changeRow({ kind: 'jobs', row: job, changes, label }));
  return (
    <div className="grid gap-3 pb-2 sm:grid-cols-2">
      <Field label="How far shall it go?">
        <Select
          value={job.scope}
          options={JOB_SCOPES.map((scope) => ({ value: scope, label: SCOPE_WORDS[scope] }))}
          onChange={(value) => change({ scope: value }, `how far: ${value}`)}
        />
      </Field>
      <Field label="What shall it become?">
        <Select
          value={job.target}
          options={JOB_TARGETS}
          onChange={(value) => change({ target: value }, `target: ${value}`)}
        />
      </Field>
    </div>
  );
}
