import type { Source } from '@sardonyx/core';
import { deleteRow } from '../edits/editRow.ts';
import { useAppDispatch } from '../store.ts';

interface SourceLineProps {
  readonly source: Source;
  /** What it is about, where that is not plain. */
  readonly about?: string | undefined;
  readonly isRemovable: boolean;
}

/** One dated statement with who says so and how certain it is. */
export function SourceLine({ source, about, isRemovable }: SourceLineProps) {
  const dispatch = useAppDispatch();
  const { statement, origin, certainty } = source;
  return (
    <li className="flex items-center gap-3 border-t border-hairline py-1">
      <span className="min-w-0 grow">
        {about && <strong>{about}: </strong>}
        {statement} {describeYears(source)}: {origin} <span className="text-soft-ink">({certainty})</span>
      </span>
      {isRemovable && (
        <button
          type="button"
          className="quiet-button"
          onClick={() => void dispatch(deleteRow({ kind: 'sources', row: source, label: statement }))}
        >
          Remove
        </button>
      )}
    </li>
  );
}

function describeYears({ fromYear, toYear }: Source): string {
  if (fromYear === null && toYear === null) return '';
  if (fromYear === toYear) return `(${fromYear})`;
  return `(${fromYear ?? '…'} to ${toYear ?? '…'})`;
}
