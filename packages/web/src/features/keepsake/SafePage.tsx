import { useRef, useState } from 'react';
import { useRestoreEverythingMutation } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { HeldButton } from '../../shared/ui/HeldButton.tsx';
import { TakeOut } from '../../shared/ui/TakeOut.tsx';
import { Progress } from '../../shared/ui/Progress.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { KeptCopies } from './KeptCopies.tsx';
import { PackJobs } from './PackJobs.tsx';
import { TakeJobs } from './TakeJobs.tsx';

/** Everything in one file, and back. */
export function SafePage() {
  const [file, setFile] = useState<File | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const [restore, { data, error, isLoading, reset }] = useRestoreEverythingMutation();
  const running = useRef<ReturnType<typeof restore>>(null);
  const [isEnded, setEnded] = useState(false);
  const begin = (saved: File) => {
    setEnded(false);
    running.current = restore(saved);
  };
  const end = () => {
    running.current?.abort();
    setEnded(true);
    reset();
  };
  return (
    <div className="mx-auto max-w-2xl space-y-8 p-6">
      <section className="space-y-3">
        <h1>Keep a copy of everything</h1>
        <p>One ZIP with the database and all photos, each with its checksum. Put it on another disk.</p>
        <TakeOut address="/api/everything.zip" what="Packing everything" isMain>
          Save everything
        </TakeOut>
      </section>
      <section className="space-y-3 border-t border-strong-line pt-5">
        <h2>Restore a copy</h2>
        <p>
          The file is checked first. What is here now is not thrown away: it is kept in a folder beside the new one.
        </p>
        <label className="block">
          <span className="mb-1 block font-semibold">The ZIP to restore</span>
          <input
            ref={input}
            type="file"
            accept=".zip,application/zip"
            onChange={(event) => setFile(event.target.files?.[0] ?? null)}
          />
        </label>
        {file && (
          <HeldButton disabled={isLoading} onHeld={() => begin(file)}>
            Replace what is here with {file.name}
          </HeldButton>
        )}
        {isLoading && <Progress what="Checking the copy and putting it in its place" share={null} onEnd={end} />}
        {isEnded && (
          <p role="status">
            Ended. Where the copy was already being put in its place, that was finished: the bench shows what is kept.
          </p>
        )}
        {error !== undefined && <ErrorNote error={readAppError(error)} />}
        {data && <p role="status">Restored. What was here before is kept in the folder {data.keptIn}.</p>}
      </section>
      <KeptCopies />
      <section aria-label="Whole jobs" className="space-y-5 border-t border-strong-line pt-5">
        <h2>Whole jobs, to keep or for another bench</h2>
        <p>
          An open archive (BagIt in a ZIP): record, papers, pictures, spectra, artwork and STL that anybody can open,
          and every row, so that another bench can go on with it.
        </p>
        <PackJobs />
        <TakeJobs />
      </section>
    </div>
  );
}
