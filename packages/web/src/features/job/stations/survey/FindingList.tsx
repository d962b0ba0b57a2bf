import type { Finding, SpecimenPart } from '@sardonyx/core';
import { Link } from 'react-router';
import { Sign } from '../../../../shared/ui/Sign.tsx';
import { deleteRow } from '../../../../shared/edits/editRow.ts';
import { capitalise } from '../../../../shared/format.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { useJob } from '../../JobContext.tsx';
import { GradeIcon } from '../../../../shared/ui/icons.ts';
import { SEVERITY_WORDS } from './AddToPart.tsx';

interface FindingListProps {
  readonly part: SpecimenPart;
  /** Id of the finding whose place is pointed at next. */
  readonly inHand: string | null;
  readonly onTake: (findingId: string | null) => void;
}

export function FindingList({ part, inHand, onTake }: FindingListProps) {
  const { view, specimen, isClosed } = useJob();
  const dispatch = useAppDispatch();
  const own = specimen.findings.filter((finding) => finding.specimenPartId === part.id);
  if (own.length === 0) return <p className="text-soft-ink">Nothing found on it yet.</p>;
  return (
    <ul aria-label={`Findings on the ${part.name}`}>
      {own.map((finding) => (
        <li key={finding.id} className="flex flex-wrap items-center gap-x-3 border-t border-hairline py-1">
          <span className="figure w-5 font-bold">{specimen.findings.indexOf(finding) + 1}</span>
          <span aria-hidden className="flex">
            {Array.from({ length: finding.severity }, (_, i) => (
              <GradeIcon key={i} size={14} className="-mx-0.5 fill-ink" />
            ))}
          </span>
          <span className="min-w-40 grow">
            <strong>{capitalise(finding.feature ? `${finding.feature} ${finding.kind}` : finding.kind)}</strong>,{' '}
            {SEVERITY_WORDS[finding.severity]}
            {finding.note && `: ${finding.note}`}
            {finding.measuredValue !== null && (
              <span className="figure">
                {' '}
                {finding.measuredValue} {finding.measuredUnit}
              </span>
            )}
            <PinnedTo jobId={view.job.id} finding={finding} />
          </span>
          {!isClosed && (
            <>
              <button
                type="button"
                className="quiet-button"
                aria-pressed={inHand === finding.id}
                onClick={() => onTake(inHand === finding.id ? null : finding.id)}
              >
                {inHand === finding.id ? 'Point at it on the map' : 'Pin it'}
                <span className="sr-only"> {finding.kind}</span>
              </button>
              <button
                type="button"
                className="quiet-button"
                aria-label={`Remove the finding ${finding.kind}`}
                onClick={() =>
                  void dispatch(deleteRow({ kind: 'findings', row: finding, label: `removed ${finding.kind}` }))
                }
              >
                Remove
              </button>
            </>
          )}
        </li>
      ))}
    </ul>
  );
}

function PinnedTo({ jobId, finding: { pinnedTo } }: { readonly jobId: string; readonly finding: Finding }) {
  if (!pinnedTo) return null;
  const photoId = pinnedTo.startsWith('photo:') ? pinnedTo.slice('photo:'.length) : null;
  return (
    <span className="text-soft-ink">
      {' '}
      <Sign of="pin" />
      pinned on{' '}
      {photoId ? (
        <Link className="underline underline-offset-4" to={`/jobs/${jobId}/photos/${photoId}?tool=pin`}>
          a photo
        </Link>
      ) : (
        'the map'
      )}
    </span>
  );
}
