import type { MatchTarget, Proposal } from '@sardonyx/core';
import { useEffect, useRef, useState } from 'react';
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
  { ask, cancel }: ColourWorker,
  pots: Pots,
  leftoverIds: readonly string[],
  wish: ProposalWish | null,
) {
  const [found, setFound] = useState<readonly Proposal[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const drop = useRef<(() => void) | null>(null);
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
    drop.current = () => {
      isCurrent = false;
      clearTimeout(settle);
    };
    return drop.current;
    // The wish and the leftovers are compared by what they say.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [ask, pots, key]);
  /** Ends the search for good, whether it has begun or not; another wish begins a new one. */
  const end = () => {
    drop.current?.();
    cancel();
    setProblem('You ended the search. Change a wish to begin it again.');
  };
  return { proposals: found, problem, end };
}
