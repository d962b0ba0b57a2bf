import { useRef, useState, type ReactNode } from 'react';
import { readAppError, type AppError } from '../api/appError.ts';
import { fetchFile } from '../api/fetchFile.ts';
import { saveFile } from './saveFile.ts';
import { ErrorNote } from './Notice.tsx';
import { Progress } from './Progress.tsx';

interface TakeOutProps {
  /** Where the file comes from. */
  readonly address: string;
  /** What is made meanwhile: "Writing the record card". */
  readonly what: string;
  readonly isMain?: boolean;
  readonly children: ReactNode;
}

/** A file that takes a moment to make: how far it is, and the way to end it. */
export function TakeOut({ address, what, isMain = false, children }: TakeOutProps) {
  const running = useRef<AbortController>(null);
  const [share, setShare] = useState<number | null | undefined>(undefined);
  const [problem, setProblem] = useState<AppError | null>(null);
  const take = async () => {
    const control = new AbortController();
    running.current = control;
    setShare(null);
    setProblem(null);
    try {
      const { content, name } = await fetchFile(address, control.signal, setShare);
      saveFile(content, name);
    } catch (error) {
      if (!control.signal.aborted) setProblem(readAppError(error));
    }
    setShare(undefined);
  };
  if (share !== undefined)
    return (
      <div className="w-full">
        <Progress what={what} share={share} onEnd={() => running.current?.abort()} />
      </div>
    );
  return (
    <>
      <button type="button" className={isMain ? 'main-button' : 'plain-button'} onClick={() => void take()}>
        {children}
      </button>
      {problem && <ErrorNote error={problem} />}
    </>
  );
}
