import type { EarlierJob } from '@sardonyx/contract';
import { sayMinutes } from '@sardonyx/core';
import { Link } from 'react-router';
import { useGetEarlierQuery } from '../../../../shared/api/recordApi.ts';
import { formatMoment } from '../../../../shared/dates/sayDates.ts';
import { useJob } from '../../JobContext.tsx';

/** Earlier work on the same casting: its coats, recipes, troubles and hours. */
export function EarlierJobs() {
  const { view } = useJob();
  const { data = [] } = useGetEarlierQuery(view.job.id);
  if (data.length === 0) return null;
  return (
    <section aria-label="Earlier work on this casting" className="space-y-3">
      <h2>Earlier work on this casting</h2>
      {data.map((job) => (
        <Earlier key={job.jobId} job={job} />
      ))}
    </section>
  );
}

function Earlier({ job }: { readonly job: EarlierJob }) {
  const {
    jobId,
    number,
    title,
    signedOffAt,
    coats,
    mixes,
    troubles,
    mended,
    doneMin,
    timedMin,
    doneSteps,
    timedSteps,
  } = job;
  const lines = [
    ...coats.map(({ part, area, names }) => `${part}, ${area}: ${names.join(', ')}`),
    ...mixes
      .filter(({ paints }) => paints.length > 0)
      .map(
        ({ name, paints, lastDe00 }) =>
          `Mixed ${name}: ${paints.map((paint) => `${paint.ml.toFixed(2)} ml ${paint.name}`).join(', ')}${
            lastDe00 === null ? '' : `; last patch at dE00 ${lastDe00.toFixed(1)}`
          }`,
      ),
    ...troubles.map(
      ({ part, coat, failure, helped }) =>
        `Failed: ${coat} on the ${part.toLowerCase()}, ${failure}${helped ? `. What helped: ${helped}` : '; nobody wrote down what helped'}`,
    ),
    ...mended.map(({ task, by }) => `Mended: ${task}${by && !task.includes(by) ? `, by ${by}` : ''}`),
  ];
  return (
    <div className="border-l-2 border-hairline pl-3">
      <p>
        <Link className="font-semibold underline underline-offset-4" to={`/jobs/${jobId}/record`}>
          {number} {title}
        </Link>
        , {signedOffAt ? `signed off ${formatMoment(signedOffAt)}` : 'still open'}
        {doneSteps > 0 &&
          `; ${doneSteps} steps done, planned at ${sayMinutes(doneMin)}${
            timedSteps > 0 ? `, ${timedSteps} of them timed: ${sayMinutes(timedMin)}` : ', none of them timed'
          }`}
        .
      </p>
      {lines.length > 0 ? (
        <ul className="list-inside list-disc text-soft-ink">
          {lines.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      ) : (
        <p className="text-soft-ink">Nothing was put on, mixed or mended yet.</p>
      )}
    </div>
  );
}
