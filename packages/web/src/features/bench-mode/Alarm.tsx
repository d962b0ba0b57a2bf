import type { TimersView } from '@sardonyx/contract';
import { sayLate } from '@sardonyx/core';
import { useAcknowledgeTimerMutation } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { formatMinutes } from '../../shared/format.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { Sign } from '../../shared/ui/Sign.tsx';
import { useBell } from '../clocks/index.ts';
import { OnePress } from './OnePress.tsx';

interface AlarmProps {
  readonly timer: TimersView['timers'][number];
  /** So many others ring too. */
  readonly more: number;
  readonly jobNumber: string;
  readonly nowMs: number;
  readonly onLooked: () => void;
}

/** A clock that rings goes before every step; one at a time. */
export function Alarm({ timer, more, jobNumber, nowMs, onLooked }: AlarmProps) {
  useBell(true);
  const [acknowledge, { error, isLoading }] = useAcknowledgeTimerMutation();
  const lateMin = (nowMs - Date.parse(timer.endsAt)) / 60_000;
  return (
    <>
      <div className="grow space-y-3 p-4" role="alert">
        <p className="text-soft-ink">
          <span className="figure">{jobNumber}</span> {timer.label}
        </p>
        <h1>
          <Sign of="warning" />
          Time is up{lateMin >= 1 ? `, over by ${formatMinutes(lateMin)}` : ''}.
        </h1>
        <p className="text-lead">{sayLate(timer.late)}</p>
        {more > 0 && <p>{more === 1 ? 'One more clock rings' : `${more} more clocks ring`}: it comes up next.</p>}
        {error !== undefined && <ErrorNote error={readAppError(error)} />}
      </div>
      <div className="flex">
        <OnePress isHeld={false} disabled={isLoading} onPress={() => void acknowledge(timer.id).then(onLooked)}>
          I have looked: silence it
        </OnePress>
      </div>
    </>
  );
}
