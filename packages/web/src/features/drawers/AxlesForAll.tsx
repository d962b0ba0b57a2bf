import { callWhere } from '@sardonyx/core';
import { Link } from 'react-router';
import { useGetAxlesQuery } from '../../shared/api/stockApi.ts';
import { Sign } from '../../shared/ui/Sign.tsx';

/** Which axles go to which job, so that the rare ones are left for whom nothing else fits; nothing while no step was measured. */
export function AxlesForAll() {
  const { data: shares } = useGetAxlesQuery();
  const wanting = (shares ?? []).filter(({ wanted }) => wanted > 0);
  if (wanting.length === 0) return null;
  return (
    <section aria-label="Axles over all jobs" className="space-y-2">
      <h2>Axles over all jobs</h2>
      <p className="text-soft-ink">
        By what was measured at their steps: as many places served as can be, the rare ones kept for whom nothing else
        fits.
      </p>
      <ul>
        {wanting.map(({ taskId, jobId, jobNumber, wanted, given, holes, locked }) => (
          <li key={taskId} className="border-t border-hairline py-1">
            <Link to={`/jobs/${jobId}/open`}>{jobNumber}</Link>: {wanted} wanted
            {given.map(({ thing, amount }) => (
              <span key={thing.id}>
                , {amount} of <Link to={`/drawers?thing=${thing.id}`}>{callWhere(thing)}</Link>
              </span>
            ))}
            {holes > 0 && (
              <span>
                ; <Sign of="warning" /> for {holes} nothing is left that is long enough
                {locked.length > 0 ? ', but what is kept back would do' : ''}
              </span>
            )}
            .
          </li>
        ))}
      </ul>
    </section>
  );
}
