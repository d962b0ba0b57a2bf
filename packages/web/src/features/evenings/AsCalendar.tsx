import type { Restorer } from '@sardonyx/core';
import { Fold } from '../../shared/ui/Fold.tsx';

const PATH = '/api/evenings/calendar.ics';

/** The evenings for a calendar of one's own: subscribed to it follows the plan, as a file it stays as it was. */
export function AsCalendar({ restorers }: { readonly restorers: readonly Restorer[] }) {
  const lines = [
    { id: '', name: 'Everybody', query: '' },
    ...restorers.map(({ id, name }) => ({ id, name, query: `?restorer=${encodeURIComponent(id)}` })),
  ];
  return (
    <Fold title="As a calendar (ICS)">
      <div className="space-y-1 py-2 pl-6">
        <p>
          Subscribe to an address and the calendar follows the plan; it reaches this bench from this machine only, while
          the server runs. A file stays as it was.
        </p>
        <ul>
          {lines.map(({ id, name, query }) => (
            <li key={id} className="flex flex-wrap items-baseline gap-x-4">
              <span>{name}:</span>
              <code className="select-all break-all text-note">{`${location.origin}${PATH}${query}`}</code>
              <a className="underline underline-offset-4" href={`${PATH}${query}`} download={`evenings ${name}.ics`}>
                As a file<span className="sr-only">: {name}</span>
              </a>
            </li>
          ))}
        </ul>
      </div>
    </Fold>
  );
}
