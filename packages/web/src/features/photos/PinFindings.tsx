import type { SpecimenView } from '@sardonyx/contract';
import type { Finding, Photo } from '@sardonyx/core';
import { Sign } from '../../shared/ui/Sign.tsx';
import { capitalise } from '../../shared/format.ts';

interface PinFindingsProps {
  readonly photo: Photo;
  readonly specimen: SpecimenView;
  /** Id of the finding whose place is pointed at next. */
  readonly inHand: string | null;
  readonly onTake: (findingId: string | null) => void;
}

export const pinOf = (photo: Photo) => `photo:${photo.id}`;

/** The findings of the model: which are pinned on this picture, and which still can be. */
export function PinFindings({ photo, specimen, inHand, onTake }: PinFindingsProps) {
  if (specimen.findings.length === 0)
    return <p className="text-soft-ink">No finding is written down yet: add it at Survey, then pin it here.</p>;
  return (
    <section aria-label="Pin findings">
      <h2 className="mb-1">Findings on this picture</h2>
      <ul>
        {specimen.findings.map((finding, i) => (
          <li key={finding.id} className="flex items-center gap-3 border-t border-hairline py-1">
            <span className="figure w-6 font-bold">{i + 1}</span>
            <span className="grow">
              {nameOf(finding, specimen)}: {capitalise(finding.kind)}
              {finding.note && `, ${finding.note}`}
              {finding.pinnedTo === pinOf(photo) && (
                <span className="text-soft-ink">
                  {' '}
                  <Sign of="pin" />
                  pinned here
                </span>
              )}
            </span>
            <button
              type="button"
              className="plain-button"
              aria-pressed={inHand === finding.id}
              onClick={() => onTake(inHand === finding.id ? null : finding.id)}
            >
              {inHand === finding.id ? 'Point at it' : 'Pin it'}
              <span className="sr-only"> {finding.kind}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

const nameOf = (finding: Finding, specimen: SpecimenView) =>
  specimen.parts.find((part) => part.id === finding.specimenPartId)?.name ?? 'A part';
