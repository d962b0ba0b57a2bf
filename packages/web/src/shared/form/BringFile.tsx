import { readAppError } from '../api/appError.ts';
import { FilePick } from '../ui/FilePick.tsx';
import { ErrorNote } from '../ui/Notice.tsx';

interface BringFileProps {
  readonly label: string;
  readonly accept: string;
  readonly isReading: boolean;
  /** What the server says of the last one; undefined where it took it. */
  readonly refused: unknown;
  readonly onFile: (file: File) => void;
}

/** A file that is read and measured before anything of it is kept. */
export function BringFile({ label, accept, isReading, refused, onFile }: BringFileProps) {
  return (
    <>
      <FilePick label={label} accept={accept} isDisabled={isReading} onFile={onFile} />
      {isReading && <p role="status">It is read and measured …</p>}
      {refused !== undefined && <ErrorNote error={readAppError(refused)} />}
    </>
  );
}
