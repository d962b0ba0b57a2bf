import type { DonorOffer, DonorsView } from '@sardonyx/contract';
import { Link } from 'react-router';
import { readAppError } from '../../shared/api/appError.ts';
import { useTakeFromDonorMutation } from '../../shared/api/stockApi.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { useWho } from '../../shared/ui/useWho.ts';

/** What donors have of what is wanted, and what is wanted of them that none has. */
export function Donors({ donors: { offers, unmet } }: { readonly donors: DonorsView }) {
  if (offers.length + unmet.length === 0) return null;
  return (
    <section aria-label="Donors" className="space-y-3">
      <h2>From donors</h2>
      {offers.length > 0 && (
        <ul>
          {offers.map((offer) => (
            <Offer key={offer.wantId} offer={offer} />
          ))}
        </ul>
      )}
      {unmet.length > 0 && (
        <>
          <p>No donor has these. Buy them, print them or make them instead: it is said at the want.</p>
          <ul className="flex flex-wrap gap-x-6">
            {unmet.map(({ wantId, what, jobId, jobNumber }) => (
              <li key={wantId}>
                <Link className="underline underline-offset-4" to={`/jobs/${jobId}/survey`}>
                  {jobNumber}: {what}
                </Link>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

const WHY_WORDS: Readonly<Record<DonorOffer['why'], string>> = {
  'same part': 'the same part of the same casting',
  'same size': 'of another casting, of the same size',
};

function Offer({ offer }: { readonly offer: DonorOffer }) {
  const [who] = useWho();
  const [take, { error, isLoading }] = useTakeFromDonorMutation();
  const { wantId, what, jobNumber, part, why } = offer;
  return (
    <li className="space-y-2 border-t border-hairline py-1">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <span>
          <strong>
            {part.name} of {part.donor}
          </strong>{' '}
          for {jobNumber}: {what}
          <span className="block text-note text-soft-ink">
            {part.state}, {WHY_WORDS[why]}
          </span>
        </span>
        <button
          type="button"
          className="plain-button print:hidden"
          disabled={isLoading || who.trim() === ''}
          onClick={() => void take({ wantId, partId: part.id, who: who.trim() })}
        >
          Take it
          <span className="sr-only">
            : {part.name} for {jobNumber}
          </span>
        </button>
      </div>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </li>
  );
}
