import type { AppError } from '../api/appError.ts';
import { ErrorNote } from '../ui/Notice.tsx';
import { useWho } from '../ui/useWho.ts';

interface WriteItDownProps {
  readonly isSending: boolean;
  readonly isMain?: boolean;
  readonly error: AppError | null;
}

/** The end of a form whose log line names who did it: it waits for a name. */
export function WriteItDown({ isSending, isMain = false, error }: WriteItDownProps) {
  const [who] = useWho();
  const isNameless = who.trim() === '';
  return (
    <>
      <button type="submit" className={isMain ? 'main-button' : 'plain-button'} disabled={isSending || isNameless}>
        Write it down
      </button>
      {isNameless && <p className="text-note">Say at the top who stands at the bench.</p>}
      {error && <ErrorNote error={error} />}
    </>
  );
}
