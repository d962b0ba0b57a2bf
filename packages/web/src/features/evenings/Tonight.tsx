import { useMemo } from 'react';
import { Link } from 'react-router';
import { formatEvening, formatHour } from '../../shared/dates/sayDates.ts';
import { readNames } from './names.ts';
import { Run } from './Run.tsx';
import { useEvenings } from './useEvenings.ts';

/** The first steps of the run that is next; all of it stands on Evenings. */
const MOST = 5;

/** As high as what comes, so that nothing jumps away under a hand. */
const Waiting = () => (
  <p role="status" className="mb-5 min-h-56 text-soft-ink">
    Laying out the run of the evening ...
  </p>
);

/** Tonight's run: what the hands do in this evening, in order. Nothing while nobody has hours. */
export function Tonight() {
  const { view, input, now } = useEvenings();
  const names = useMemo(() => input && readNames(input), [input]);
  const run = now?.report.runs.find(({ steps }) => steps.length > 0);
  if (!view || (now && !run) || view.restorers.length === 0) return view ? null : <Waiting />;
  if (!names || !run) return <Waiting />;
  const runsOn = run.steps.filter((step) => step.runsOn).length;
  return (
    <section aria-label="The next run" className="mb-5">
      <h2 className="flex flex-wrap items-baseline gap-x-3">
        {formatEvening(run.from)}, {formatHour(run.from)} to {formatHour(run.to)}
        <Link className="font-normal underline underline-offset-4" to="/evenings">
          {run.steps.length > MOST ? `all ${run.steps.length} steps, and the weeks` : 'the weeks'}
        </Link>
        {runsOn > 0 && (
          <span className="text-note font-normal text-soft-ink">
            {runsOn === 1 ? '1 goes' : `${runsOn} go`} on when everybody has left: start them in time.
          </span>
        )}
      </h2>
      <p className="mb-2">
        <Link className="main-button" to="/bench-mode">
          Work it step by step
        </Link>
      </p>
      <Run run={run} names={names} late={now!.report.plan.late} most={MOST} />
    </section>
  );
}
