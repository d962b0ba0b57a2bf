import { callWhere, type InHandLine } from '@sardonyx/core';
import { Link } from 'react-router';
import { formatDay } from '../../../../shared/dates/sayDates.ts';
import { capitalise } from '../../../../shared/format.ts';
import { sayAmount } from '../../../../shared/sayAmount.ts';
import { Fold } from '../../../../shared/ui/Fold.tsx';
import { Sign } from '../../../../shared/ui/Sign.tsx';
import { useJob } from '../../JobContext.tsx';

/** All that the plan takes and how it stands, what is not here first: to be in hand before the first step that cannot be undone. */
export function HaveInHand() {
  const { view } = useJob();
  const { supplies } = view;
  if (supplies.length === 0) return null;
  const unrecorded = supplies.filter(({ stand }) => stand === 'not written down');
  const here = supplies.filter(({ stand }) => stand === 'ready');
  const lacking = supplies.filter((line) => !here.includes(line) && !unrecorded.includes(line));
  const first = lacking.filter(({ isNeededFirst }) => isNeededFirst);
  const later = lacking.filter(({ isNeededFirst }) => !isNeededFirst);
  const longest = Math.max(0, ...first.map(({ leadDays }) => leadDays));
  return (
    <section aria-label="In hand before the first cut" className="space-y-2">
      <h2>
        In hand before the first cut:{' '}
        {first.length === 0
          ? 'nothing is missing'
          : `${first.length} ${first.length === 1 ? 'thing is' : 'things are'} not`}
      </h2>
      <p className="text-soft-ink">
        {longest > 0 && `What is not in the house takes up to ${longest} days. `}
        Amounts and days are planning estimates, unless a day was promised.
      </p>
      <Lines lines={first} />
      {later.length > 0 && (
        <Fold title={`Needed later and not here: ${later.length}`}>
          <Lines lines={later} />
        </Fold>
      )}
      {here.length > 0 && (
        <Fold title={`Here: ${here.length} ${here.length === 1 ? 'thing' : 'things'}`}>
          <Lines lines={here} />
        </Fold>
      )}
      {unrecorded.length > 0 && (
        <p className="text-note text-soft-ink">
          Of these nobody keeps a record, see for yourself: {unrecorded.map(({ what }) => what).join(', ')}.
        </p>
      )}
    </section>
  );
}

function Lines({ lines }: { readonly lines: readonly InHandLine[] }) {
  return (
    <ul>
      {lines.map((line) => (
        <li
          key={`${line.what} ${line.pot ?? ''} ${line.wantId ?? ''} ${line.bit?.id ?? ''}`}
          className="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-x-3 border-t border-hairline py-1"
        >
          <span>
            {capitalise(line.pot ?? line.what)}
            {line.amount !== null && <span className="figure"> {sayAmount(line.amount, line.unit, 1)}</span>}
          </span>
          <Stand line={line} />
          <span className="col-span-2 text-note text-soft-ink">
            {line.tasks
              .slice(0, 2)
              .map((task) => task.title)
              .join('; ')}
            {line.tasks.length > 2 && ` and ${line.tasks.length - 2} more`}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** More places than these only say that there is enough. */
const SHOWN_PLACES = 2;
const sayDays = (days: number) => `${days} ${days === 1 ? 'day' : 'days'} by post`;

/** How one thing stands, by a sign and in words; a drawer opens by its name. */
function Stand({ line }: { readonly line: InHandLine }) {
  const { stand, leadDays, lacks, unit, trouble, arrivesOn } = line;
  switch (stand) {
    case 'ready':
      return (
        <span className="text-right text-note text-soft-ink">
          <Sign of="done" /> <Places line={line} />
        </span>
      );
    case 'short':
      return (
        <span className="text-right text-note">
          <Sign of="warning" /> {sayAmount(lacks ?? 0, unit, 1)} too little, <Places line={line} />; {sayDays(leadDays)}
        </span>
      );
    case 'not right':
      return (
        <span className="text-right text-note">
          <Sign of="warning" /> {trouble}
        </span>
      );
    case 'ordered':
      return (
        <span className="text-right text-note">
          <Sign of="begun" /> on its way, likely on {formatDay(arrivesOn!)}
        </span>
      );
    case 'missing':
      return <span className="text-right text-note">not here, {sayDays(leadDays)}</span>;
    case 'not written down':
      return null;
  }
}

function Places({ line: { places, kind, unit } }: { readonly line: InHandLine }) {
  if (kind === 'tool') return 'in the workshop';
  const more = places.length - SHOWN_PLACES;
  return (
    <>
      {places.slice(0, SHOWN_PLACES).map(({ thingId, name, drawer, amount }, i) => (
        <span key={thingId ?? name}>
          {i > 0 && ', '}
          {sayAmount(amount, unit, 1)}{' '}
          {thingId === null ? (
            'on the shelf'
          ) : (
            <Link to={`/drawers?thing=${thingId}`}>{callWhere({ name, drawer })}</Link>
          )}
        </span>
      ))}
      {more > 0 && `, and ${more} more like these`}
    </>
  );
}
