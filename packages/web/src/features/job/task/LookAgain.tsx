import type { OpenLink } from '@sardonyx/core';
import { useState } from 'react';
import { formatMoment } from '../../../shared/dates/sayDates.ts';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { sayWait } from './sayWait.ts';
import { useAct } from './useAct.ts';

/** A coat says itself when it bears what comes next: looking at it does not dry it. */
function CoatWait({ wait }: { readonly wait: OpenLink }) {
  return (
    <div className="border-l-4 border-ink pl-3" role="group" aria-label={`Wait: ${wait.before.title}`}>
      <p>
        {sayWait(wait)}
        {wait.from !== null && ', by its sheet, the room and what was touched'}.
      </p>
      {wait.kind === 'waiting' && wait.from !== null && (
        <p className="text-note text-soft-ink">What a finger finds is said at Finish, under the drying ruler.</p>
      )}
    </div>
  );
}

/** A wait that is not over, or what was done too long ago: whoever looked says so, and it goes on. */
export function LookAgain({ wait }: { readonly wait: OpenLink }) {
  const { before, kind, from } = wait;
  const { act, error, isLoading, clear } = useAct(before.id);
  const [note, setNote] = useState('');
  const isWaiting = kind === 'waiting';
  if (before.film && kind !== 'too late') return <CoatWait wait={wait} />;
  return (
    <div className="space-y-2 border-l-4 border-ink pl-3" role="group" aria-label={`Wait: ${before.title}`}>
      <p>
        {isWaiting
          ? `“${before.title}” needs time until ${formatMoment(from!)} (planning estimate, or the product's sheet).`
          : `“${before.title}” was done too long ago to rely on.`}
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <label className="grow">
          <span className="block text-note">What you saw (goes into the record)</span>
          <input value={note} maxLength={500} onChange={(event) => setNote(event.target.value)} />
        </label>
        <button
          type="button"
          className="plain-button"
          disabled={isLoading}
          onClick={() => void act({ act: 'looked', note })}
        >
          {isWaiting ? 'I have looked: it is dry, it holds' : 'I have looked: it is still good'}
        </button>
      </div>
      {error && <ErrorNote error={error} onClose={clear} />}
    </div>
  );
}
