import type { Task } from '@sardonyx/core';
import { useState } from 'react';
import { useGetWorkshopQuery } from '../../../shared/api/api.ts';
import type { AppError } from '../../../shared/api/appError.ts';
import { changeRow } from '../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../shared/store.ts';
import { HeldButton } from '../../../shared/ui/HeldButton.tsx';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { PhotoDrop } from '../../photos/index.ts';

/** What a start may carry besides the act. */
export interface SendMore {
  readonly goAheadBecause?: string;
  readonly staysUntilDone?: true;
}

interface HeldBackProps {
  readonly task: Task;
  readonly error: AppError;
  readonly onClose: () => void;
  readonly onAgain: (more?: SendMore) => void;
}

/** Why a step did not start, with the one act that puts it right where there is one. */
export function HeldBack({ task, error, onClose, onAgain }: HeldBackProps) {
  const { data } = useGetWorkshopQuery();
  const dispatch = useAppDispatch();
  const gun = data?.tools.find((tool) => tool.kind === 'airbrush');
  const clean = async () => {
    if (!gun) return;
    await dispatch(
      changeRow({ kind: 'tools', row: gun, changes: { state: 'ready', holds: '' }, label: `${gun.name} cleaned` }),
    ).unwrap();
    onAgain();
  };
  return (
    <div className="space-y-2">
      <ErrorNote error={error} onClose={onClose} />
      {error.code === 'outside-bench-hours' && (
        <HeldButton onHeld={() => onAgain({ staysUntilDone: true })}>
          I stay with it until it is over: {task.title}
        </HeldButton>
      )}
      {error.code === 'gun-not-clean' && gun && (
        <button type="button" className="main-button" onClick={() => void clean()}>
          The gun is clean now: go on
        </button>
      )}
      {error.code === 'no-colour' && <WithoutColour onAgain={onAgain} />}
      {error.code === 'no-photo' && (
        <PhotoDrop jobId={task.jobId} stage={task.act === 'photograph' ? 'before' : 'after'} nextSide="left" />
      )}
    </div>
  );
}

/** The step itself leads to the colour lab; here stands the reason why none is kept, for the record. */
function WithoutColour({ onAgain }: { readonly onAgain: HeldBackProps['onAgain'] }) {
  const [reason, setReason] = useState('');
  return (
    <div className="flex flex-wrap items-end gap-3">
      <label className="grow">
        <span className="block text-note">Or why none is kept</span>
        <input value={reason} maxLength={500} onChange={(event) => setReason(event.target.value)} />
      </label>
      <button
        type="button"
        className="plain-button"
        disabled={reason.trim() === ''}
        onClick={() => onAgain({ goAheadBecause: reason })}
      >
        Go on without
      </button>
    </div>
  );
}
