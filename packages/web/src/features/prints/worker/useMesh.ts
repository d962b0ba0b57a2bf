import { useCallback, useEffect, useRef, useState } from 'react';
import { fetchFile } from '../../../shared/api/fetchFile.ts';
import { readAppError, type AppError } from '../../../shared/api/appError.ts';
import type { MeshReply, MeshRequest, ReadMesh } from './protocol.ts';

export interface Mesh {
  /** null while it is on its way. */
  readonly mesh: ReadMesh | null;
  /** Share of the file that is here. */
  readonly share: number;
  readonly error: AppError | null;
  /** The same mesh scaled, as a binary STL file. */
  readonly write: (scale: readonly [number, number, number]) => Promise<Blob>;
}

const createWorker = () => new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });

/** The mesh of a part, read and drawn beside the page; ended when the page goes on to another. */
export function useMesh(printId: string): Mesh {
  const worker = useRef<Worker | null>(null);
  const [mesh, setMesh] = useState<ReadMesh | null>(null);
  const [share, setShare] = useState(0);
  const [error, setError] = useState<AppError | null>(null);
  useEffect(() => {
    const own = createWorker();
    const fetching = new AbortController();
    worker.current = own;
    setMesh(null);
    setError(null);
    setShare(0);
    const read = async () => {
      const { content } = await fetchFile(`/api/prints/${encodeURIComponent(printId)}/mesh`, fetching.signal, setShare);
      const bytes = new Uint8Array(await content.arrayBuffer());
      const reply = await ask(own, { id: 0, kind: 'read', bytes });
      if (reply.kind === 'mesh') setMesh(reply.mesh);
    };
    read().catch((reason: unknown) => {
      if (!fetching.signal.aborted) setError(readAppError(reason));
    });
    return () => {
      fetching.abort();
      own.terminate();
    };
  }, [printId]);
  const write = useCallback(async (scale: readonly [number, number, number]) => {
    const reply = await ask(worker.current!, { id: ++last, kind: 'write', scale });
    if (reply.kind !== 'file') throw new Error('The worker answered something else.');
    return new Blob([reply.bytes], { type: 'model/stl' });
  }, []);
  return { mesh, share, error, write };
}

let last = 0;

function ask(worker: Worker, request: MeshRequest): Promise<MeshReply> {
  return new Promise((done, fail) => {
    const hear = ({ data }: MessageEvent<MeshReply>) => {
      if (data.id !== request.id) return;
      worker.removeEventListener('message', hear);
      if (data.kind === 'problem') fail(new Error(data.message));
      else done(data);
    };
    worker.addEventListener('message', hear);
    worker.postMessage(request);
  });
}
