import type { Signing } from '@sardonyx/core';
import { formatMoment } from '../../../../shared/dates/sayDates.ts';
import { TakeOut } from '../../../../shared/ui/TakeOut.tsx';

/** Each time it was signed and opened again; the record of each stays. */
export function Signings({ signings }: { readonly signings: readonly Signing[] }) {
  const isShown = signings.some(({ lacks, reopenedAt }) => reopenedAt !== null || lacks.length > 0);
  if (!isShown) return null;
  return (
    <ul aria-label="How it was signed" className="space-y-2">
      {signings.map(({ id, signedAt, signedBy, lacks, because, reopenedAt, reopenedBy, reopenedBecause }) => (
        <li key={id} className="border-l-2 border-hairline pl-3">
          <p>
            Signed off {formatMoment(signedAt)} by {signedBy}.
          </p>
          {lacks.length > 0 && (
            <p className="text-soft-ink">
              Without: {lacks.map(({ what }) => what).join(' ')} Because: {because}
            </p>
          )}
          {reopenedAt && (
            <>
              <p>
                Opened again {formatMoment(reopenedAt)} by {reopenedBy}: {reopenedBecause}
              </p>
              <TakeOut address={`/api/signings/${id}/record.json`} what="Writing the record as it was signed">
                The record as it was signed (JSON)
              </TakeOut>
            </>
          )}
        </li>
      ))}
    </ul>
  );
}
