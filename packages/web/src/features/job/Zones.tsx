import type { ReactNode } from 'react';

interface ZonesProps {
  readonly model: ReactNode;
  readonly children: ReactNode;
  /** The answer: above the work, and on a tablet above the model too. */
  readonly lead?: ReactNode;
  /** What is looked up now and then: under the model, and on a tablet after the work. */
  readonly aside?: ReactNode;
  /** The model stays in sight while the work scrolls; not where it is taller than the screen. */
  readonly isSticky?: boolean;
}

/** The model on the left, the work on the right; one above the other on a tablet. */
export function Zones({ model, children, lead, aside, isSticky = true }: ZonesProps) {
  const sticky = isSticky ? 'min-[1100px]:sticky min-[1100px]:top-2 min-[1100px]:self-start' : '';
  // The last row takes what is left over, so that nothing stands apart under the model.
  const rows = aside ? 'min-[1100px]:grid-rows-[auto_auto_1fr]' : 'min-[1100px]:grid-rows-[auto_1fr]';
  const workRows = lead
    ? `min-[1100px]:row-start-2 ${aside ? 'min-[1100px]:row-span-2' : ''}`
    : 'min-[1100px]:row-span-2 min-[1100px]:row-start-1';
  return (
    <div
      className={`flex flex-col gap-6 px-4 py-4 min-[1100px]:grid min-[1100px]:grid-cols-[minmax(0,42fr)_minmax(0,58fr)] ${rows}`}
    >
      {lead && <div className="min-w-0 min-[1100px]:col-start-2 min-[1100px]:row-start-1">{lead}</div>}
      <div
        className={`min-w-0 space-y-3 min-[1100px]:col-start-1 min-[1100px]:row-span-2 min-[1100px]:row-start-1 ${sticky}`}
      >
        {model}
      </div>
      <div className={`min-w-0 space-y-6 min-[1100px]:col-start-2 ${workRows}`}>{children}</div>
      {aside && <div className="min-w-0 space-y-3 min-[1100px]:col-start-1 min-[1100px]:row-start-3">{aside}</div>}
    </div>
  );
}

/** A line of the work with its reason in the margin; on a tablet the reason folds under its line. */
export function Line({ because, children }: { readonly because?: ReactNode; readonly children: ReactNode }) {
  return (
    <div className="grid gap-x-6 gap-y-1 min-[1100px]:grid-cols-[minmax(0,1fr)_13rem]">
      <div className="min-w-0">{children}</div>
      <div className="min-w-0 border-l border-hairline pl-3 text-note text-soft-ink">{because}</div>
    </div>
  );
}

/** The verdict first. */
export function Verdict({ children, rest }: { readonly children: ReactNode; readonly rest?: ReactNode }) {
  return (
    <div>
      <p className="text-act font-semibold">{children}</p>
      {rest && <p className="mt-1 text-soft-ink">{rest}</p>}
    </div>
  );
}
