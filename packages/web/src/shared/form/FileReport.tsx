import type { ShelfFile, ShelfReport } from '@sardonyx/contract';

const SHOWN = 8;

interface FileReportProps {
  readonly report: ShelfReport;
  readonly isBusy: boolean;
  /** null: it was taken. */
  readonly onTake: ((take: ShelfFile['take']) => void) | null;
  readonly onLeave: () => void;
}

/** What a file would do to the shelf or the drawers, and whether it is to; or what it did. */
export function FileReport({ report, isBusy, onTake, onLeave }: FileReportProps) {
  const { added, changed, unchanged, problems, problemCount, isTaken } = report;
  const good = added + changed;
  const isUnreadable = good + unchanged === 0;
  return (
    <div role="status" className="space-y-2">
      <p>
        <strong>
          {isTaken ? 'Taken' : 'Nothing is taken yet'}: {added} new, {changed} changed
        </strong>
        {unchanged > 0 && `, ${unchanged} as they are`}
      </p>
      {problemCount > 0 && (
        <>
          <p>
            {problemCount === 1 ? 'One fault' : `${problemCount} faults`}
            {isUnreadable
              ? ': nothing of this file can be taken.'
              : problemCount === 1
                ? '; its line is left out:'
                : '; their lines are left out:'}
          </p>
          <ul className="text-note">
            {problems.slice(0, SHOWN).map(({ line, message }) => (
              <li key={`${line} ${message}`}>
                {line > 0 && `Line ${line}: `}
                {message}
              </li>
            ))}
            {problemCount > SHOWN && <li>and {problemCount - SHOWN} more</li>}
          </ul>
        </>
      )}
      {onTake && (
        <p className="flex flex-wrap gap-3">
          {good > 0 && (
            <button
              type="button"
              className="main-button"
              disabled={isBusy}
              onClick={() => onTake(problemCount > 0 ? 'good lines' : 'all')}
            >
              {problemCount > 0
                ? `Take the good ${good === 1 ? 'one' : `${good}`}, leave the faulty out`
                : good === 1
                  ? 'Take it'
                  : `Take all ${good}`}
            </button>
          )}
          <button type="button" className="plain-button" disabled={isBusy} onClick={onLeave}>
            {problemCount > 0 ? 'Take nothing: mend the file first' : 'Take nothing'}
          </button>
        </p>
      )}
    </div>
  );
}
