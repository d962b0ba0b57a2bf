import type { Task } from '@sardonyx/core';
import { useState, type ReactNode } from 'react';
import { useAcknowledgeTimerMutation, useGetWorkshopQuery } from '../../../shared/api/api.ts';
import type { AppError } from '../../../shared/api/appError.ts';
import { changeRow } from '../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../shared/store.ts';
import { HeldButton } from '../../../shared/ui/HeldButton.tsx';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { useTimers } from '../../clocks/index.ts';
import { useJob } from '../JobContext.tsx';
import { useDecide } from '../useDecide.ts';
import { PhotoDrop } from '../../photos/index.ts';

/** What a start may carry besides the act. */
export interface SendMore {
  readonly goAheadBecause?: string;
  readonly staysUntilDone?: true;
  readonly isDryDay?: true;
}

interface HeldBackProps {
  readonly task: Task;
  readonly error: AppError;
  readonly onClose: () => void;
  readonly onAgain: (more?: SendMore) => void;
}

/** Why a step did not start: every reason with the act that puts it right, where there is one. */
export function HeldBack({ task, error, onClose, onAgain }: HeldBackProps) {
  const codes = new Set(error.reasons ? error.reasons.map(({ code }) => code) : [error.code]);
  return (
    <div className="space-y-2">
      <ErrorNote error={error} onClose={onClose} />
      {[...codes].map((code) => {
        const Way = code && WAYS_ON[code];
        return Way && <Way key={code} task={task} onAgain={onAgain} />;
      })}
    </div>
  );
}

type WayProps = Pick<HeldBackProps, 'task' | 'onAgain'>;

const WAYS_ON: Readonly<Partial<Record<string, (props: WayProps) => ReactNode>>> = {
  'outside-bench-hours': StayWithIt,
  'gun-not-clean': CleanTheGun,
  'spark-beside-vapour': AirIt,
  'dry-day': DryDay,
  'no-colour': WithoutColour,
  'no-photo': ({ task }) => (
    <PhotoDrop jobId={task.jobId} stage={task.act === 'photograph' ? 'before' : 'after'} nextSide="left" />
  ),
};

function StayWithIt({ task, onAgain }: WayProps) {
  return (
    <HeldButton onHeld={() => onAgain({ staysUntilDone: true })}>
      I stay with it until it is over: {task.title}
    </HeldButton>
  );
}

function CleanTheGun({ onAgain }: WayProps) {
  const { data } = useGetWorkshopQuery();
  const dispatch = useAppDispatch();
  const gun = data?.tools.find((tool) => tool.kind === 'airbrush');
  if (!gun) return null;
  const clean = async () => {
    await dispatch(
      changeRow({ kind: 'tools', row: gun, changes: { state: 'ready', holds: '' }, label: `${gun.name} cleaned` }),
    ).unwrap();
    onAgain();
  };
  return (
    <button type="button" className="main-button" onClick={() => void clean()}>
      The gun is clean now: go on
    </button>
  );
}

/** The room's airing ends when somebody says that it is aired. */
function AirIt({ onAgain }: WayProps) {
  const { timers, nowMs } = useTimers();
  const [acknowledge] = useAcknowledgeTimerMutation();
  const airing = timers.find((timer) => timer.kind === 'airing' && Date.parse(timer.endsAt) > nowMs);
  if (!airing) return null;
  return (
    <button type="button" className="plain-button" onClick={() => void acknowledge(airing.id).then(() => onAgain())}>
      The room is aired: go on
    </button>
  );
}

/** Blasting waits for the weather, or its corners are done by the way that took the rest of the paint. */
function DryDay({ task, onAgain }: WayProps) {
  const { tasks } = useJob();
  const decide = useDecide('S11');
  const [error, setError] = useState<AppError | null>(null);
  const other = tasks.find((one) => one.act === 'strip' && one.partKeys[0] === task.partKeys[0])?.method;
  return (
    <>
      <div className="flex flex-wrap gap-3">
        <button type="button" className="main-button" onClick={() => onAgain({ isDryDay: true })}>
          It is dry today: go on
        </button>
        {other && (
          <button
            type="button"
            className="plain-button"
            onClick={() => void decide(other, 'no dry day to blast').then(setError)}
          >
            No dry day: do it all with {other}
          </button>
        )}
      </div>
      {error && <ErrorNote error={error} onClose={() => setError(null)} />}
    </>
  );
}

/** The step itself leads to the colour lab; here stands the reason why none is kept, for the record. */
function WithoutColour({ onAgain }: WayProps) {
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
