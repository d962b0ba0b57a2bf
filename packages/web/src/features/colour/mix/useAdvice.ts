import type { MixView } from '@sardonyx/contract';
import { replayMix, selectDrying, type RoundAdvice } from '@sardonyx/core';
import { useEffect, useMemo, useState } from 'react';
import { usePots } from '../match/usePots.ts';
import { useColourBench } from '../ColourContext.tsx';
import { STALE, type ColourWorker } from '../worker/useColourWorker.ts';

/** What to do next in a mixing, worked out anew after each line of its log. */
export function useAdvice(worker: ColourWorker, mix: MixView) {
  const state = useMemo(() => replayMix(mix.steps), [mix.steps]);
  const pots = usePots(mix.geometry, [...mix.recipe.map((line) => line.productId), ...state.productIds]);
  const { shelf } = useColourBench();
  const [found, setFound] = useState<{ readonly advice: RoundAdvice; readonly of: MixView['steps'] } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { ask } = worker;
  useEffect(() => {
    let isCurrent = true;
    const question = {
      ...{ recipe: mix.recipe, steps: mix.steps, way: mix.way },
      target: { d65: mix.target, a: mix.targetA, weightA: 0 },
      ...{ drying: selectDrying(state, shelf.products, shelf.dried).drying, eyes: shelf.eyes },
      limits: { needMl: mix.needMl, doseMl: mix.doseMl, tolerance: mix.tolerance },
    };
    ask({ kind: 'advise', pots, question }, 'advice').then(
      (answer) => {
        if (!isCurrent) return;
        setProblem(null);
        setFound({ advice: answer.advice, of: mix.steps });
      },
      (error: unknown) => {
        const message = error instanceof Error ? error.message : String(error);
        if (isCurrent && message !== STALE) setProblem(message);
      },
    );
    return () => void (isCurrent = false);
  }, [ask, pots, mix, state, shelf]);
  /** Worked out before the last line of the log: shown, but nothing is to be logged by it. */
  const isStale = found?.of !== mix.steps;
  return { advice: found?.advice ?? null, isStale, problem, state };
}
