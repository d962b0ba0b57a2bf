import type { ReactNode } from 'react';

interface HalvesProps {
  /** The answer: what is to be done. First on a tablet, above the rest on the right otherwise. */
  readonly lead: ReactNode;
  /** What is looked at: the swatches, the pots. */
  readonly look: ReactNode;
  readonly children: ReactNode;
}

/** Swatches on the left, the answer and its choices on the right; on a tablet the answer comes first. */
export function Halves({ lead, look, children }: HalvesProps) {
  return (
    <div className="flex flex-col gap-6 min-[1100px]:grid min-[1100px]:grid-cols-[minmax(0,47fr)_minmax(0,53fr)] min-[1100px]:grid-rows-[auto_1fr] min-[1100px]:gap-x-8">
      <div className="min-w-0 space-y-4 min-[1100px]:col-start-2 min-[1100px]:row-start-1">{lead}</div>
      <div className="min-w-0 space-y-4 min-[1100px]:col-start-1 min-[1100px]:row-span-2 min-[1100px]:row-start-1">
        {look}
      </div>
      <div className="min-w-0 space-y-5 min-[1100px]:col-start-2">{children}</div>
    </div>
  );
}
