import type { SpecimenPart } from '@sardonyx/core';
import { deleteRow } from '../../../../shared/edits/editRow.ts';
import { capitalise } from '../../../../shared/format.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { useJob } from '../../JobContext.tsx';
import { SEVERITY_WORDS } from './AddToPart.tsx';

export function FindingList({ part }: { readonly part: SpecimenPart }) {
  const { specimen, isClosed } = useJob();
  const dispatch = useAppDispatch();
  const own = specimen.findings.filter((finding) => finding.specimenPartId === part.id);
  if (own.length === 0) return <p className="text-soft-ink">Nothing found on it yet.</p>;
  return (
    <ul aria-label={`Findings on the ${part.name}`}>
      {own.map((finding) => (
        <li key={finding.id} className="flex items-center gap-3 border-t border-hairline py-1">
          <span aria-hidden>{'▮'.repeat(finding.severity)}</span>
          <span className="grow">
            <strong>{capitalise(finding.kind)}</strong>, {SEVERITY_WORDS[finding.severity]}
            {finding.note && `: ${finding.note}`}
          </span>
          {!isClosed && (
            <button
              type="button"
              className="quiet-button"
              aria-label={`Remove the finding ${finding.kind}`}
              onClick={() =>
                void dispatch(
                  deleteRow({
                    kind: 'findings',
                    row: finding,
                    keep: ['specimenPartId', 'kind', 'severity', 'note'],
                    label: `removed ${finding.kind}`,
                  }),
                )
              }
            >
              Remove
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}
