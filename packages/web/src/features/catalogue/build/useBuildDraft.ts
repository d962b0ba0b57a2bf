import type { BuildDraft } from '@sardonyx/core';
import { useState } from 'react';

export interface DraftTools {
  readonly draft: BuildDraft;
  readonly change: (next: BuildDraft) => void;
  /** The change before; null where there is none. */
  readonly takeBack: (() => void) | null;
}

const MOST_STEPS = 60;

/** Parts and joints while they are changed, step by step and back. */
export function useBuildDraft(start: BuildDraft): DraftTools {
  const [steps, setSteps] = useState<readonly BuildDraft[]>([start]);
  return {
    draft: steps.at(-1)!,
    change: (next) => setSteps((before) => (next === before.at(-1) ? before : [...before, next].slice(-MOST_STEPS))),
    takeBack: steps.length > 1 ? () => setSteps((before) => before.slice(0, -1)) : null,
  };
}
