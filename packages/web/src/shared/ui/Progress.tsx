import { Progress as Radix } from 'radix-ui';

interface ProgressProps {
  /** What is going on: "Straightening the picture". */
  readonly what: string;
  /** 0 to 1; null while nobody can tell. */
  readonly share: number | null;
  /** Ends it; what was there before stays. */
  readonly onEnd?: () => void;
}

/** What takes longer than a moment: how far it is, and the way to end it. */
export function Progress({ what, share, onEnd }: ProgressProps) {
  const percent = share === null ? null : Math.round(100 * share);
  return (
    <div className="flex items-center gap-4 border border-strong-line bg-sheet px-3 py-2">
      <div className="grow">
        <p role="status" className="flex justify-between gap-4">
          <span>{what} ...</span>
          {percent !== null && <span className="figure whitespace-nowrap">{percent} %</span>}
        </p>
        <Radix.Root value={percent} aria-label={what} className="mt-1 h-2 overflow-hidden bg-sunk">
          <Radix.Indicator
            className={`block h-full bg-ink ${percent === null ? 'animate-pulse' : ''}`}
            style={{ width: `${percent ?? 40}%` }}
          />
        </Radix.Root>
      </div>
      {onEnd && (
        <button type="button" className="plain-button shrink-0" onClick={onEnd}>
          End it
        </button>
      )}
    </div>
  );
}
