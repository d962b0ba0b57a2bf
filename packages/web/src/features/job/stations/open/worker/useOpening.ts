import { createOpeningQuestion } from '@sardonyx/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useJob } from '../../../JobContext.tsx';
import { useWorker } from '../../../../../shared/worker/useWorker.ts';
import type { OpeningAnswer, OpeningReply, OpeningRequest } from './protocol.ts';

export interface OpeningState {
  /** null until the first answer came. */
  readonly opening: OpeningAnswer | null;
  /** A newer answer is being worked out; the one shown is the one before. */
  readonly isStale: boolean;
  readonly problem: string | null;
}

const createWorker = () => new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });

/** The opening of the model in hand, planned in a worker from the facts that the server's plan is made from. */
export function useOpening(): OpeningState {
  const {
    specimen: { facts, specimen },
  } = useJob();
  const question = useMemo(() => createOpeningQuestion(facts), [facts]);
  const worker = useWorker(createWorker);
  const sent = useRef(0);
  const [got, setGot] = useState<OpeningState & { readonly of: string }>({
    ...{ opening: null, isStale: true, problem: null, of: specimen.id },
  });
  useEffect(() => {
    const own = worker.current!;
    const id = ++sent.current;
    own.onmessage = ({ data }: MessageEvent<OpeningReply>) => {
      if (data.id === sent.current)
        setGot({ opening: data.answer, isStale: false, problem: data.problem, of: specimen.id });
    };
    own.postMessage({ id, question } satisfies OpeningRequest);
    setGot((before) => ({ ...before, isStale: true }));
  }, [worker, question, specimen.id]);
  // What was worked out for another model is not shown for this one.
  return got.of === specimen.id ? got : { opening: null, isStale: true, problem: null };
}
