import type { MatchTarget, Proposal } from '@sardonyx/core';
import { useEffect, useState } from 'react';
import type { Pots } from '../worker/protocol.ts';
import { STALE, type ColourWorker } from '../worker/useColourWorker.ts';

export interface ProposalWish {
  readonly target: MatchTarget;
  readonly totalDoses: number;
  readonly doseMl: number;
  readonly mostPaints: number;
}

/** Numbers are typed digit by digit: the solver waits for the last one. */
const SETTLE_MS = 150;

/** Recipes for a wish, asked anew when it or the shelf changes; null while they are worked out. */
export function useProposals(
  { ask }: ColourWorker,
  pots: Pots,
  leftoverIds: readonly string[],
  wish: ProposalWish | null,
) {
  const [found, setFound] = useState<readonly Proposal[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const key = JSON.stringify([wish, leftoverIds]);
  useEffect(() => {
    setFound(null);
    setProblem(null);
    if (!wish) return;
    const { target, totalDoses, doseMl, mostPaints } = wish;
    const limits = { total: totalDoses, doseMl, mostPaints };
    let isCurrent = true;
    const settle = setTimeout(() => {
      ask({ kind: 'propose', pots, target, limits, leftoverIds }, 'proposals').then(
        ({ proposals }) => isCurrent && setFound(proposals),
        (error: unknown) => {
          const message = error instanceof Error ? error.message : String(error);
          if (isCurrent && message !== STALE) setProblem(message);
        },
      );
    }, SETTLE_MS);
    return () => {
      isCurrent = false;
      clearTimeout(settle);
    };
    // The wish and the leftovers are compared by what they say.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [ask, pots, key]);
  return { proposals: found, problem };
}
