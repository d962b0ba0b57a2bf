import type { SupplyLine } from '@sardonyx/core';
import { Fold } from '../../../../shared/ui/Fold.tsx';
import { useGetWorkshopQuery } from '../../../../shared/api/api.ts';
import { capitalise } from '../../../../shared/format.ts';
import { useJob } from '../../JobContext.tsx';

/** All that the plan takes, what comes by post first: to be in hand before the first step that cannot be undone. */
export function HaveInHand() {
  const { view } = useJob();
  const { data: workshop } = useGetWorkshopQuery();
  const toolOf = ({ toolKind }: SupplyLine) =>
    toolKind === null ? undefined : workshop?.tools.find((one) => one.kind === toolKind);
  const here = view.supplies.filter((line) => toolOf(line)?.state === 'ready');
  const first = view.supplies.filter((line) => line.isNeededFirst && !here.includes(line));
  const later = view.supplies.filter((line) => !line.isNeededFirst && !here.includes(line));
  if (view.supplies.length === 0) return null;
  const parts = first.filter((line) => line.kind === 'part');
  const longest = Math.max(0, ...first.map((line) => line.leadDays));
  const stateOf = (line: SupplyLine) => {
    const tool = toolOf(line);
    return tool ? `${tool.name}: ${tool.state}` : null;
  };
  return (
    <section aria-label="In hand before the first cut">
      <h2>
        In hand before the first cut: {first.length === 0 ? 'nothing is missing' : count(first.length, 'thing')}
        {parts.length > 0 && `, ${parts.length} of them by post`}
      </h2>
      <p className="text-soft-ink">
        {longest > 0 && `What is not in the house yet takes up to ${longest} days. `}
        Amounts and days are planning estimates, unless a day was promised.
        {here.length > 0 && ` Ready in the workshop: ${here.map((line) => line.what).join(', ')}.`}
      </p>
      <Lines lines={first} stateOf={stateOf} />
      {later.length > 0 && (
        <Fold title={`Later: ${later.length} more`}>
          <Lines lines={later} stateOf={stateOf} />
        </Fold>
      )}
    </section>
  );
}

const count = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`;

interface LinesProps {
  readonly lines: readonly SupplyLine[];
  readonly stateOf: (line: SupplyLine) => string | null;
}

function Lines({ lines, stateOf }: LinesProps) {
  return (
    <ul>
      {lines.map((line) => {
        const state = stateOf(line);
        return (
          <li key={line.what} className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 border-t border-hairline py-1">
            <span>
              {capitalise(line.what)}
              {line.amount !== null && (
                <span className="figure">
                  {' '}
                  {Number(line.amount.toFixed(1))} {line.unit}
                </span>
              )}
              {state && <span className="text-note text-soft-ink"> · {state}</span>}
            </span>
            <span className="text-note text-soft-ink">
              {line.leadDays === 0 ? 'due' : `${line.leadDays} ${line.leadDays === 1 ? 'day' : 'days'}`}
            </span>
            <span className="col-span-2 text-note text-soft-ink">
              {line.tasks
                .slice(0, 2)
                .map((task) => task.title)
                .join('; ')}
              {line.tasks.length > 2 && ` and ${line.tasks.length - 2} more`}
            </span>
          </li>
        );
      })}
    </ul>
  );
}
