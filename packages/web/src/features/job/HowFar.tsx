import { JOB_SCOPES, JOB_TARGETS, type Job } from '@sardonyx/core';
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
      <label>
        <span className="font-semibold">How far shall it go?</span>
        <select
          value={job.scope}
          onChange={(event) => change({ scope: event.target.value as Job['scope'] }, `how far: ${event.target.value}`)}
        >
          {JOB_SCOPES.map((scope) => (
            <option key={scope} value={scope}>
              {SCOPE_WORDS[scope]}
            </option>
          ))}
        </select>
      </label>
      <label>
        <span className="font-semibold">What shall it become?</span>
        <select
          value={job.target}
          onChange={(event) => change({ target: event.target.value as Job['target'] }, `target: ${event.target.value}`)}
        >
          {JOB_TARGETS.map((target) => (
            <option key={target}>{target}</option>
          ))}
        </select>
      </label>
    </div>
  );
}
