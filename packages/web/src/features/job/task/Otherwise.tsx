import type { Task } from '@sardonyx/core';
import { useState } from 'react';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { useAct } from './useAct.ts';

/** A step that is left out, or was done in another way: with the reason, which the record prints. */
export function Otherwise({ task, isReady }: { readonly task: Task; readonly isReady: boolean }) {
  const [isOpen, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const { act, error, isLoading, clear } = useAct(task.id);
  const isEmpty = reason.trim() === '';
  const send = async (what: 'not needed' | 'done otherwise') => {
    if (await act({ act: what, note: reason })) {
      setReason('');
      setOpen(false);
    }
  };
  if (!isOpen)
    return (
      <button type="button" className="quiet-button" onClick={() => setOpen(true)}>
        Not so, or not at all
        <span className="sr-only">: {task.title}</span>
      </button>
    );
  return (
    <div
      className="w-full space-y-2 border border-strong-line p-3"
      role="group"
      aria-label={`Otherwise: ${task.title}`}
    >
      <label className="block">
        <span className="block text-note">How it was done instead, or why it is not needed (goes into the record)</span>
        <input value={reason} maxLength={500} onChange={(event) => setReason(event.target.value)} />
      </label>
      {task.hazards.length > 0 && (
        <p className="text-note">What this step guards against stays: read its hazard cards before the next one.</p>
      )}
      <div className="flex flex-wrap gap-3">
        <button
          type="button"
          className="plain-button"
          disabled={isLoading || isEmpty || !isReady}
          onClick={() => void send('done otherwise')}
        >
          Done otherwise
        </button>
        <button
          type="button"
          className="plain-button"
          disabled={isLoading || isEmpty}
          onClick={() => void send('not needed')}
        >
          Not needed
        </button>
        <button type="button" className="quiet-button" onClick={() => setOpen(false)}>
          Leave it
        </button>
      </div>
      {error && <ErrorNote error={error} onClose={clear} />}
    </div>
  );
}
