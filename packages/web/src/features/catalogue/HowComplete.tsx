import type { CastingView } from '@sardonyx/contract';
import { formatPercent, type ListedShare } from '@sardonyx/core';
import { useState } from 'react';
import type { AppError } from '../../shared/api/appError.ts';
import { changeRow } from '../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { Radios } from '../../shared/ui/Radios.tsx';

const ANSWERS = [
  { value: 'all', label: 'all' },
  { value: 'most', label: 'most' },
  { value: 'some', label: 'some' },
  { value: null, label: 'nobody knows' },
] as const satisfies readonly { readonly value: ListedShare | null; readonly label: string }[];

/** Asks how complete the list of issues is, and says what that makes of "none of those" at Identify. */
export function HowComplete({ view: { casting, unlistedChance } }: { readonly view: CastingView }) {
  const dispatch = useAppDispatch();
  const [error, setError] = useState<AppError | null>(null);
  const say = async (listed: ListedShare | null) =>
    setError(
      await dispatch(
        changeRow({
          kind: 'castings',
          row: casting,
          changes: { listed },
          label: `issues listed: ${listed ?? 'nobody knows'}`,
          isShownInPlace: true,
        }),
      ).unwrap(),
    );
  return (
    <section aria-label="How complete the list is">
      <Radios
        label="How many of the issues that were made are listed here?"
        value={casting.listed}
        options={ANSWERS}
        onChange={(listed) => void say(listed)}
      />
      {unlistedChance !== null && (
        <p className="text-note text-soft-ink">
          So Identify begins with {formatPercent(unlistedChance)} for an issue that is not listed (planning estimate,
          moved by the models that are settled).
        </p>
      )}
      {error && <ErrorNote error={error} />}
    </section>
  );
}
