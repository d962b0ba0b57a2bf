import type { Answer, DatedStatement, IdentifyCatalogue, IdentifyReport, Question } from '@sardonyx/core';
import { useEffect, useRef, useState } from 'react';
import { useWorker } from '../../../shared/worker/useWorker.ts';
import type { IdentifyAnswer, IdentifyRequest } from './protocol.ts';

export interface Reported {
  /** null until the first answer came. */
  readonly report: IdentifyReport | null;
  /** The catalogue that the report is about. */
  readonly catalogue: IdentifyCatalogue;
  /** A newer answer is being worked out; the report shown is the one before. */
  readonly isStale: boolean;
  readonly problem: string | null;
}

/** The last question, and the worker that has its catalogue. */
interface Sent {
  id: number;
  to: Worker | null;
  catalogue: IdentifyCatalogue | null;
}

const createWorker = () => new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });

/** Identifies in a worker. Typing and pressing go on meanwhile; only the newest question is answered. */
export function useReport(
  catalogue: IdentifyCatalogue,
  answers: readonly Answer[],
  statements: readonly DatedStatement[],
  threshold: number,
  question: Question,
): Reported {
  const worker = useWorker(createWorker);
  const sent = useRef<Sent>({ id: 0, to: null, catalogue: null });
  const [got, setGot] = useState<Reported>({ report: null, catalogue, isStale: true, problem: null });
  useEffect(() => {
    const own = worker.current!;
    const id = sent.current.id + 1;
    const request: IdentifyRequest = {
      ...{ id, answers, statements, threshold, question },
      catalogue: sent.current.to === own && sent.current.catalogue === catalogue ? null : catalogue,
    };
    sent.current = { id, to: own, catalogue };
    own.onmessage = ({ data }: MessageEvent<IdentifyAnswer>) => {
      if (data.id !== sent.current.id) return;
      if (data.problem) sent.current.catalogue = null;
      setGot({ report: data.report, catalogue, isStale: false, problem: data.problem });
    };
    own.postMessage(request);
    setGot((before) =>
      before.catalogue.variants === catalogue.variants || before.report === null
        ? { ...before, isStale: true }
        : { report: null, catalogue, isStale: true, problem: null },
    );
  }, [worker, catalogue, answers, statements, threshold, question]);
  return got;
}
