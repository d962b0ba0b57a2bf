import { chooseClock, type Task } from '@sardonyx/core';
import { useState } from 'react';
import { useStartTimerMutation } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { strikeBell } from './useBell.ts';

/** Starts the clock that belongs to a task; the minutes can be changed first. The bell is tried when it is armed. */
export function StartClock({ task }: { readonly task: Task }) {
  const clock = chooseClock(task);
  const [minutes, setMinutes] = useState(String(clock?.minutes ?? 0));
  const [start, { error, isLoading, isSuccess }] = useStartTimerMutation();
  if (!clock) return null;
  const arm = () => {
    strikeBell(0.15);
    void start({ jobId: task.jobId, taskId: task.id, label: clock.label, kind: clock.kind, minutes: Number(minutes) });
  };
  return (
    <div className="space-y-1">
      <div className="flex items-center gap-2">
        <label className="flex items-center gap-2">
          <span>{clock.word}</span>
          <input
            className="figure"
            style={{ width: '6rem' }}
            inputMode="decimal"
            value={minutes}
            onChange={(event) => setMinutes(event.target.value)}
          />
          <span>min</span>
        </label>
        <button type="button" className="plain-button" disabled={isLoading} onClick={arm}>
          Start the clock
        </button>
        {isSuccess && <span role="status">Runs on the shelf below.</span>}
      </div>
      <p className="text-note text-soft-ink">
        Planning estimate; the product sheet goes first. A soft stroke of the bell tries the volume.
      </p>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </div>
  );
}
