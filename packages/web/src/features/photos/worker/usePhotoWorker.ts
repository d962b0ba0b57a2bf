import type {
  CameraFit,
  CardValues,
  ColourSample,
  ControlPoint,
  PhotoControl,
  PhotoFit,
  Point,
  SnappedTrace,
  TracedShape,
} from '@sardonyx/core';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { FittedCard, FlatPicture, PhotoAnswer, PhotoRequest } from './protocol.ts';

/** Pixels of a straightened picture: what a camera of today takes. */
const MOST_PIXELS = 12_000_000;

interface Waiting {
  readonly done: (answer: PhotoAnswer) => void;
  readonly fail: (error: Error) => void;
}

export interface PhotoWorker {
  /** Share of the work under way that is done; null while nothing runs. */
  readonly progress: number | null;
  /** The bench card's dots: found by itself, or from its corners. */
  readonly findCard: (url: string, corners: readonly Point[] | null) => Promise<readonly ControlPoint[]>;
  /** The nearest edge; null where there is none. */
  readonly snap: (url: string, point: Point) => Promise<Point | null>;
  /** A traced shape laid on the edges of the picture under it. */
  readonly snapShape: (url: string, control: PhotoControl, fit: PhotoFit, shape: TracedShape) => Promise<SnappedTrace>;
  /** The colour card in a picture: found by itself, or from its corners. */
  readonly fitCard: (url: string, corners: readonly Point[] | null, card: CardValues | null) => Promise<FittedCard>;
  readonly sample: (url: string, fit: CameraFit, point: Point, radiusPx: number) => Promise<ColourSample>;
  readonly straighten: (url: string, control: PhotoControl) => Promise<FlatPicture>;
  /** Ends what runs; its promise fails with "Ended.". */
  readonly cancel: () => void;
}

/** Reads pictures pixel by pixel beside the page, which goes on meanwhile. */
export function usePhotoWorker(): PhotoWorker {
  const worker = useRef<Worker | null>(null);
  const waiting = useRef(new Map<number, Waiting>());
  const last = useRef(0);
  const [progress, setProgress] = useState<number | null>(null);
  const start = useCallback(() => {
    const own = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });
    own.onmessage = ({ data }: MessageEvent<PhotoAnswer>) => {
      if (data.kind === 'progress') return setProgress(data.share);
      const one = waiting.current.get(data.id);
      waiting.current.delete(data.id);
      setProgress(null);
      if (data.kind === 'problem') one?.fail(new Error(data.message));
      else one?.done(data);
    };
    worker.current = own;
    return own;
  }, []);
  const stop = useCallback((why: string) => {
    worker.current?.terminate();
    worker.current = null;
    for (const one of waiting.current.values()) one.fail(new Error(why));
    waiting.current.clear();
    setProgress(null);
  }, []);
  useEffect(() => () => stop('The page was left.'), [stop]);
  return useMemo(() => {
    const ask = (request: DistributiveOmit<PhotoRequest, 'id'>) =>
      new Promise<PhotoAnswer>((done, fail) => {
        const id = ++last.current;
        waiting.current.set(id, { done, fail });
        setProgress(0);
        (worker.current ?? start()).postMessage({ ...request, id } as PhotoRequest);
      });
    return {
      progress,
      findCard: async (url, corners) => {
        const answer = await ask({ kind: 'find card', url, corners });
        return answer.kind === 'card' ? answer.points : [];
      },
      snap: async (url, point) => {
        const answer = await ask({ kind: 'snap', url, point });
        return answer.kind === 'snapped' ? answer.point : null;
      },
      snapShape: async (url, control, fit, shape) => {
        const answer = await ask({ kind: 'snap shape', url, control, fit, shape });
        if (answer.kind !== 'shape snapped') throw new Error('The worker answered something else.');
        return answer;
      },
      fitCard: async (url, corners, card) => {
        const answer = await ask({ kind: 'fit card', url, corners, card });
        if (answer.kind !== 'fitted') throw new Error('The worker answered something else.');
        return answer;
      },
      sample: async (url, fit, point, radiusPx) => {
        const answer = await ask({ kind: 'sample', url, fit, point, radiusPx });
        if (answer.kind !== 'sampled') throw new Error('The worker answered something else.');
        return answer.sample;
      },
      straighten: async (url, control) => {
        const answer = await ask({ kind: 'straighten', url, control, mostPixels: MOST_PIXELS });
        if (answer.kind !== 'flat') throw new Error('The worker answered something else.');
        return answer;
      },
      cancel: () => stop('Ended.'),
    };
  }, [progress, start, stop]);
}

type DistributiveOmit<T, K extends PropertyKey> = T extends unknown ? Omit<T, K> : never;
