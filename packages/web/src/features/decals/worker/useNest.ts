import type { Nest, NestQuestion } from '@sardonyx/core';
import { useEffect, useRef, useState } from 'react';
import type { NestReply, NestRequest } from './protocol.ts';

export interface NestState {
  /** The best so far; null until the first is there. */
  readonly nest: Nest | null;
  readonly share: number;
  readonly isRunning: boolean;
  readonly problem: string | null;
}

const IDLE: NestState = { nest: null, share: 0, isRunning: false, problem: null };

const createWorker = () => new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });

/** Pieces laid on sheets beside the page: better and better, until it is ended. */
export function useNest(): NestState & { readonly start: (question: NestQuestion) => void; readonly end: () => void } {
  const worker = useRef<Worker | null>(null);
  const last = useRef(0);
  const [state, setState] = useState<NestState>(IDLE);
  useEffect(() => () => worker.current?.terminate(), []);
  const end = () => {
    worker.current?.terminate();
    worker.current = null;
    setState((before) => ({ ...before, isRunning: false }));
  };
  const start = (question: NestQuestion) => {
    worker.current?.terminate();
    const own = createWorker();
    worker.current = own;
    const id = ++last.current;
    setState({ ...IDLE, isRunning: true });
    own.onmessage = ({ data }: MessageEvent<NestReply>) => {
      if (data.id !== last.current) return;
      if (data.kind === 'problem') setState({ ...IDLE, problem: data.message });
      else setState({ nest: data.nest, share: data.share, isRunning: !data.isEnd, problem: null });
    };
    own.postMessage({ id, question } satisfies NestRequest);
  };
  return { ...state, start, end };
}
