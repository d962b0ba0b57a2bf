import type { Task } from '@sardonyx/core';
import { useState } from 'react';
import { formatMoment } from '../../../shared/dates/sayDates.ts';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { useJob } from '../JobContext.tsx';
import { useAct } from './useAct.ts';

/** Notes of a step, before, while and after it is done; each goes into the log. */
export function TaskNote({ task }: { readonly task: Task }) {
  const { view } = useJob();
  const [isOpen, setOpen] = useState(false);
  const [note, setNote] = useState('');
  const { act, error, isLoading, clear } = useAct(task.id);
  const notes = view.log.filter((entry) => entry.taskId === task.id && entry.act === 'note');
  return (
    <div className={isOpen || notes.length ? 'w-full space-y-2' : ''}>
      {notes.map((entry) => (
        <p key={entry.id} className="text-note">
          {entry.who}, {formatMoment(entry.at)}: {entry.note}
        </p>
      ))}
      {isOpen ? (
        <div className="flex flex-wrap items-end gap-3">
          <label className="grow">
            <span className="block text-note">Note to keep now</span>
            <input value={note} maxLength={500} onChange={(event) => setNote(event.target.value)} />
          </label>
          <button
            type="button"
            className="plain-button"
            disabled={isLoading || note.trim() === ''}
            onClick={() => void act({ act: 'note', note }).then((isKept) => isKept && (setNote(''), setOpen(false)))}
          >
            Keep the note
          </button>
        </div>
      ) : (
        <button type="button" className="quiet-button" onClick={() => setOpen(true)}>
          Write a note
          <span className="sr-only">: {task.title}</span>
        </button>
      )}
      {error && <ErrorNote error={error} onClose={clear} />}
    </div>
  );
}
