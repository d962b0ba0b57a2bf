import type { EveningsReport } from '@sardonyx/core';
import { formatMinutes } from '../../shared/format.ts';
import { sayVerdict, type Names } from './sayEvenings.ts';
import type { FoundEvenings } from './worker/protocol.ts';

interface BetterProps {
  readonly better: FoundEvenings;
  readonly now: EveningsReport;
  readonly names: Names;
  readonly onTake: (found: FoundEvenings) => void;
  readonly onLeave: () => void;
}

/** What was found, beside what stands; nothing moves before somebody says so. */
export function Better({ better, now, names, onTake, onLeave }: BetterProps) {
  const { report, moves } = better;
  if (!better.isChanged || report.cost >= now.cost)
    return (
      <p role="status" className="flex items-center gap-4 border border-strong-line bg-sheet px-3 py-2">
        <span className="grow">No better plan was found.</span>
        <button type="button" className="quiet-button" onClick={onLeave}>
          Good
        </button>
      </p>
    );
  const earlier = now.latenessMin - report.latenessMin;
  const cleanings = now.cleanings - report.cleanings;
  return (
    <section aria-label="A better plan" className="space-y-2 border-2 border-ink bg-sheet px-4 py-3">
      <h2>A better plan: {sayVerdict(report, names)}</h2>
      <p>
        {[
          ...(earlier > 0 ? [`${formatMinutes(earlier)} less late in all`] : []),
          ...(cleanings > 0
            ? [cleanings === 1 ? 'the gun cleaned once less' : `the gun cleaned ${cleanings} times less`]
            : []),
          moves.length === 1 ? '1 step moves to another evening' : `${moves.length} steps move to another evening`,
        ].join('; ')}
        .
      </p>
      <p className="flex gap-4">
        <button type="button" className="main-button" onClick={() => onTake(better)}>
          Take it
        </button>
        <button type="button" className="quiet-button" onClick={onLeave}>
          Leave it as it is
        </button>
      </p>
    </section>
  );
}
