import { Link, useNavigate, useLocation } from 'react-router';
import { Fold } from '../../shared/ui/Fold.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { useGetBenchQuery } from '../../shared/api/api.ts';
import { formatDay, formatDue } from '../../shared/dates/sayDates.ts';
import { Autosaved } from '../../shared/form/Autosaved.tsx';
import { AddModel } from './AddModel.tsx';
import { HowFar } from './HowFar.tsx';
import { useJob } from './JobContext.tsx';

/** Which job, which of its models, and the facts of the job that can be changed here. */
export function JobHead() {
  const { view, specimen, isClosed } = useJob();
  const { job } = view;
  const { data: bench } = useGetBenchQuery();
  const now = bench ? new Date(bench.now) : new Date();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  return (
    <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1 px-4 pt-3">
      <h1 className="text-lead! leading-6">
        <span className="figure">{job.number}</span> {job.title}
      </h1>
      <span className="text-soft-ink">
        came in {formatDay(job.intakeOn)} · {job.target} · {job.scope}
        {job.dueOn && ` · due ${formatDue(job.dueOn, now)}`}
        {job.signedOffAt && ` · signed off ${formatDay(job.signedOffAt)} by ${job.signedOffBy}`}
      </span>
      <Link className="underline underline-offset-4" to={`/jobs/${job.id}/colour`}>
        Colours
      </Link>
      {view.specimens.length > 1 && (
        <Field label="Model in hand" isBeside>
          <Select
            value={specimen.specimen.id}
            options={view.specimens.map((one) => ({ value: one.specimen.id, label: one.specimen.name }))}
            onChange={(value) => void navigate(`${pathname}?specimen=${encodeURIComponent(value)}`)}
          />
        </Field>
      )}
      {!isClosed && (
        <Fold className="ml-auto data-[state=open]:w-full" title="Facts of the job">
          <div className="grid w-full gap-3 py-2 sm:grid-cols-2 min-[1100px]:grid-cols-[1fr_12rem_2fr_2fr]">
            <Autosaved kind="jobs" row={job} field="title" label="Name" />
            <Autosaved kind="jobs" row={job} field="dueOn" label="Due on" type="date" />
            <Autosaved kind="jobs" row={job} field="why" label="Why this one" />
            <Autosaved kind="specimens" row={specimen.specimen} field="note" label="Note on the model" />
          </div>
          <HowFar job={job} />
          <AddModel />
        </Fold>
      )}
    </div>
  );
}
