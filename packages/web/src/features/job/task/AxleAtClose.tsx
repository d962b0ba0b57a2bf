import { callWhere, readLastMeasures, type Task } from '@sardonyx/core';
import { Link } from 'react-router';
import { useJob } from '../JobContext.tsx';
import { useAxleCheck } from './useAxleCheck.ts';

/** Before the ends are formed: which axle goes in, cut where; by what was measured before the old one went. */
export function AxleAtClose({ task }: { readonly task: Task }) {
  const { view } = useJob();
  const check = useAxleCheck(
    task,
    readLastMeasures(
      view.log.filter(({ work }) => work.act === 'axle-in-hand' && work.of.jointKey === task.of.jointKey),
    ),
  );
  const put = check?.offers.filter(({ reserved }) => reserved > 0) ?? [];
  if (!check) return null;
  if (put.length === 0)
    return check.answer.decision === 'yes' ? (
      <p>
        The axles that were in it are long enough: {check.answer.have.mm.toFixed(1)} mm,{' '}
        {check.answer.need.mm.toFixed(1)} are needed.
      </p>
    ) : null;
  return (
    <ul aria-label="The axles that go in">
      {put.map(({ thing, reserved, fit }) => (
        <li key={thing.id} className="border-t border-hairline py-1">
          <strong>{reserved}</strong> × <Link to={`/drawers?thing=${thing.id}`}>{callWhere(thing)}</Link>:{' '}
          {sayTrim(fit.trim)}
          {fit.keeps !== null && '; its own head stays'}
        </li>
      ))}
    </ul>
  );
}

function sayTrim([left, right]: readonly [number, number]): string {
  const cuts = [left, right].filter((mm) => mm > 0.05);
  if (cuts.length === 0) return 'as it is';
  const each = cuts.map((mm) => `${mm.toFixed(1)} mm`);
  return cuts.length === 2 ? `cut ${each[0]} off one end and ${each[1]} off the other` : `cut ${each[0]} off one end`;
}
