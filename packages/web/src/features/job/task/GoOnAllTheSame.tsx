import type { Task } from '@sardonyx/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { HeldButton } from '../../../shared/ui/HeldButton.tsx';
import { Sign } from '../../../shared/ui/Sign.tsx';
import type { SendMore } from './HeldBack.tsx';

interface GoOnProps {
  readonly task: Task;
  readonly message: string;
  readonly isLoading: boolean;
  readonly onAgain: (more: SendMore) => void;
}

/** Held back because the model may be worth more as it is: it goes on only with a reason. */
export function GoOnAllTheSame({ task, message, isLoading, onAgain }: GoOnProps) {
  const [reason, setReason] = useState('');
  return (
    <div role="alert" className="space-y-2 border-4 border-sard bg-sheet p-3">
      <p className="font-semibold">
        <Sign of="stop" />
        {message}
      </p>
      <p>
        <Link className="underline underline-offset-4" to={`/jobs/${task.jobId}/identify`}>
          Look at it again
        </Link>{' '}
        first. If it must go on all the same, say why; it goes into the record.
      </p>
      <label className="block">
        <span className="text-note">Why it goes on</span>
        <input value={reason} maxLength={500} onChange={(event) => setReason(event.target.value)} />
      </label>
      <HeldButton disabled={isLoading || reason.trim() === ''} onHeld={() => onAgain({ goAheadBecause: reason })}>
        Go on all the same: {task.title}
        <span className="block text-note">Cannot be undone: {task.cannotBeUndone}</span>
      </HeldButton>
    </div>
  );
}
