import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { ColourAnswer, ColourQuestion, ColourRequest } from './protocol.ts';

interface Waiting {
  readonly done: (answer: ColourAnswer) => void;
  readonly fail: (error: Error) => void;
}

export interface ColourWorker {
  /** Share of the shelf's table that is built; null while none is being built. */
  readonly progress: number | null;
  readonly isBusy: boolean;
  /** A later question of the same kind makes an earlier one stale: its answer is dropped and it fails with STALE. */
  readonly ask: <Kind extends ColourAnswer['kind']>(
    question: ColourQuestion,
    wanted: Kind,
  ) => Promise<Extract<ColourAnswer, { kind: Kind }>>;
  /** Ends what runs; its promise fails with "Ended.". */
  readonly cancel: () => void;
}

export const STALE = 'Asked anew.';

/** The solver beside the page, which goes on meanwhile. */
export function useColourWorker(): ColourWorker {
  const worker = useRef<Worker | null>(null);
  const waiting = useRef(new Map<number, Waiting & { readonly kind: string }>());
  const last = useRef(0);
  const [progress, setProgress] = useState<number | null>(null);
  const [isBusy, setBusy] = useState(false);
  const start = useCallback(() => {
    const own = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });
    own.onmessage = ({ data }: MessageEvent<ColourAnswer>) => {
      if (data.kind === 'progress') return setProgress(data.share);
      const one = waiting.current.get(data.id);
      waiting.current.delete(data.id);
      setProgress(null);
      setBusy(waiting.current.size > 0);
      if (data.kind === 'problem') one?.fail(new Error(data.message));
      else one?.done(data);
    };
    own.onerror = () => stop('The solver broke off. Ask again.');
    worker.current = own;
    return own;
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  const stop = useCallback((why: string) => {
    worker.current?.terminate();
    worker.current = null;
    for (const one of waiting.current.values()) one.fail(new Error(why));
    waiting.current.clear();
    setProgress(null);
    setBusy(false);
  }, []);
  useEffect(() => () => stop('The page was left.'), [stop]);
  const ask = useCallback<ColourWorker['ask']>(
    (question, wanted) =>
      new Promise((done, fail) => {
        for (const [id, one] of waiting.current)
          if (one.kind === question.kind) {
            waiting.current.delete(id);
            one.fail(new Error(STALE));
          }
        const id = ++last.current;
        waiting.current.set(id, {
          kind: question.kind,
          done: (answer) => (answer.kind === wanted ? done(answer as never) : fail(new Error('Another answer came.'))),
          fail,
        });
        setBusy(true);
        (worker.current ?? start()).postMessage({ ...question, id } as ColourRequest);
      }),
    [start],
  );
  const cancel = useCallback(() => stop('Ended.'), [stop]);
  return useMemo(() => ({ progress, isBusy, ask, cancel }), [progress, isBusy, ask, cancel]);
}
