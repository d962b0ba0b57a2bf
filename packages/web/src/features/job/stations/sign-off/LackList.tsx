import { STATION_LABELS, type Lack } from '@sardonyx/core';
import { Link } from 'react-router';

interface LackListProps {
  readonly jobId: string;
  readonly lacks: readonly Lack[];
}

/** What the record does not tell, why somebody will ask, and where it can be put right. */
export function LackList({ jobId, lacks }: LackListProps) {
  if (lacks.length === 0) return null;
  return (
    <section aria-label="What the record lacks" className="space-y-2">
      <h2>What the record does not tell</h2>
      <ul className="divide-y divide-hairline border-y border-hairline">
        {lacks.map(({ what, why, station }) => (
          <li key={what} className="py-2">
            <span className="font-semibold">{what}</span> <span className="text-soft-ink">{why}</span>{' '}
            {station === null ? (
              <span className="text-soft-ink">It is too late for that now.</span>
            ) : station === 'sign-off' ? (
              'The photographs are on this page.'
            ) : (
              <Link className="underline underline-offset-4" to={`/jobs/${jobId}/${station}`}>
                To {STATION_LABELS[station]}
              </Link>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
