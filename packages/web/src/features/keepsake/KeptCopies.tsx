import type { KeptCopy } from '@sardonyx/contract';
import { useGetCopiesQuery, useMakeCopyMutation, useRestoreCopyMutation } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { formatMoment } from '../../shared/dates/sayDates.ts';
import { HeldButton } from '../../shared/ui/HeldButton.tsx';
import { EmptyNote, ErrorNote } from '../../shared/ui/Notice.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';

const WHY: Readonly<Record<KeptCopy['reason'], string>> = {
  'a day': 'copy of the day',
  'before an upgrade': 'before the program was brought up to date',
};

/** Copies of the database that are made by themselves, and the way back to each. */
export function KeptCopies() {
  const copies = useGetCopiesQuery();
  const [make, made] = useMakeCopyMutation();
  const [restore, restored] = useRestoreCopyMutation();
  if (!copies.data) return <Pending what="the copies" error={copies.error} />;
  const isBusy = made.isLoading || restored.isLoading;
  const total = copies.data.reduce((sum, { bytes }) => sum + bytes, 0);
  const error = made.error ?? restored.error;
  return (
    <section className="space-y-3 border-t border-strong-line pt-5" aria-label="Copies made by themselves">
      <h2>Copies made by themselves</h2>
      <p>
        The database is copied once a day and before every upgrade, into the folder <code>copies</code> beside it: the
        last seven days, the last three upgrades. They lie on the same disk, so they help against mistakes and damage,
        not against its loss. Photographs never change and are not copied.
      </p>
      {copies.data.length === 0 ? (
        <EmptyNote title="There is none yet.">The first is made when the bench is started the next time.</EmptyNote>
      ) : (
        <>
          <ul className="border border-hairline bg-sheet">
            {copies.data.map(({ name, reason, madeAt, bytes }) => (
              <li
                key={name}
                className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 border-b border-hairline px-3 py-1 last:border-b-0"
              >
                <span>
                  {formatMoment(madeAt)}
                  <span className="text-soft-ink">
                    , {WHY[reason]}, <span className="figure">{sayBytes(bytes)}</span>
                  </span>
                </span>
                <HeldButton disabled={isBusy} onHeld={() => void restore(name)}>
                  Go back to {formatMoment(madeAt)}
                </HeldButton>
              </li>
            ))}
          </ul>
          <p className="text-note text-soft-ink">
            Together <span className="figure">{sayBytes(total)}</span>. What is here now is kept in a folder of its own
            when you go back.
          </p>
        </>
      )}
      <button type="button" className="plain-button" disabled={isBusy} onClick={() => void make()}>
        Make one now
      </button>
      {restored.data && (
        <p role="status">It is as it was then. What was here before is kept in the folder {restored.data.keptIn}.</p>
      )}
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </section>
  );
}

const sayBytes = (bytes: number): string =>
  bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`;
