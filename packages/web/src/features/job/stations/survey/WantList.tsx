import type { Want, WantState } from '@sardonyx/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Sign, type SignName } from '../../../../shared/ui/Sign.tsx';
import { formatDay } from '../../../../shared/dates/sayDates.ts';
import { useJob } from '../../JobContext.tsx';
import { BitList } from './BitList.tsx';
import { WantForm } from './WantForm.tsx';

const MARKS: Readonly<Record<WantState, SignName>> = {
  open: 'open',
  ordered: 'begun',
  solved: 'done',
  waived: 'left out',
};

/** Everything missing or broken, visible until it is solved or waived with a reason. */
export function WantList() {
  const { specimen } = useJob();
  if (specimen.wants.length === 0) return null;
  return (
    <section aria-label="Wants">
      <h2 className="mb-1">Wants</h2>
      <ul>
        {specimen.wants.map((want) => (
          <WantLine key={want.id} want={want} />
        ))}
      </ul>
    </section>
  );
}

function WantLine({ want }: { readonly want: Want }) {
  const { isClosed, view } = useJob();
  const isPrinted = view.tasks.some(
    ({ act, of, method, state }) => act === 'get' && of.wantId === want.id && method === 'print' && state !== 'done',
  );
  const [isEdited, setEdited] = useState(false);
  const text = want.state === 'waived' ? want.reason : want.solution;
  return (
    <li className="border-t border-hairline py-2">
      <div className="flex items-baseline gap-3">
        <Sign of={MARKS[want.state]} />
        <span className="grow">
          <strong>{want.what}</strong>: {want.state}
          {text && `, ${text}`}
          {want.dueOn && want.state === 'ordered' && `, due ${formatDay(want.dueOn)}`}
          {want.price !== null && `, cost ${want.price.toFixed(2)}`}
        </span>
        {!isClosed && isPrinted && (
          <Link className="quiet-button" to="/prints">
            Print it
          </Link>
        )}
        {!isClosed && (
          <button type="button" className="quiet-button" aria-expanded={isEdited} onClick={() => setEdited(!isEdited)}>
            {isEdited ? 'Fold' : `Change`}
            <span className="sr-only"> {want.what}</span>
          </button>
        )}
      </div>
      <BitList want={want} />
      {isEdited && <WantForm want={want} onSaved={() => setEdited(false)} />}
    </li>
  );
}
