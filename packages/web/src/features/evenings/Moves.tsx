import type { PlanMove } from '@sardonyx/core';
import { formatEvening } from '../../shared/dates/sayDates.ts';
import { Fold } from '../../shared/ui/Fold.tsx';
import { sayReason, sayStep, type Names } from './sayEvenings.ts';

/** What moved when the plan was last made, and why; what made room for others is folded away. */
export function Moves({ moves, names }: { readonly moves: readonly PlanMove[]; readonly names: Names }) {
  const own = moves.filter(({ why }) => why.kind !== 'room');
  const rest = moves.length - own.length;
  return (
    <section aria-label="What moved">
      <Fold
        title={
          moves.length === 1 ? '1 step moved since the last plan' : `${moves.length} steps moved since the last plan`
        }
        isOpen={moves.length <= 5}
        titleClass="font-semibold"
      >
        <ul>
          {own.map((move) => (
            <li key={move.taskId}>
              {sayStep(move.taskId, names)}: from {sayPlace(move.from, names)} to {sayPlace(move.to, names)}, because{' '}
              {sayReason(move.why, names)}.
            </li>
          ))}
          {rest > 0 && (
            <li className="text-soft-ink">
              {rest === 1 ? '1 more' : `${rest} more`} to make room for these, or as is better.
            </li>
          )}
        </ul>
      </Fold>
    </section>
  );
}

const sayPlace = ({ startsAt, restorerId }: PlanMove['from'], names: Names): string =>
  `${formatEvening(startsAt)} (${names.restorers.get(restorerId) ?? 'somebody who is gone'})`;
