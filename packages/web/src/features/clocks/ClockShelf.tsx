import type { TimersView } from '@sardonyx/contract';
import { sayLate } from '@sardonyx/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Sign } from '../../shared/ui/Sign.tsx';
import { useAcknowledgeTimerMutation, useGetBenchQuery } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { formatClock, formatMinutes, lowerFirst } from '../../shared/format.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { sayClock } from './sayClock.ts';
import { useBell } from './useBell.ts';
import { useTimers } from './useTimers.ts';

/** The strip at the bottom of every screen: running clocks, and what hands can do meanwhile. */
export function ClockShelf() {
  const { timers, due, nowMs } = useTimers();
  const { data: bench } = useGetBenchQuery();
  const jobNumber = (id: string) => bench?.lanes.find((lane) => lane.job.id === id)?.job.number ?? '';
  const running = timers.filter((timer) => Date.parse(timer.endsAt) > nowMs);
  // One at a time: the next comes up when this one was looked at.
  const [first] = due;
  useBell(due.length > 0);
  return (
    <aside
      aria-label="Clock shelf"
      data-frame
      className="border-t border-strong-line bg-sheet low:sticky low:bottom-0 low:z-10"
    >
      {first && (
        <DueClock key={first.id} timer={first} more={due.length - 1} jobNumber={jobNumber(first.jobId)} nowMs={nowMs} />
      )}
      <div className="flex min-h-12 flex-wrap items-center gap-x-5 gap-y-1 px-4 py-1 low:flex-nowrap low:overflow-x-auto low:whitespace-nowrap">
        {timers.length === 0 && (
          <span className="text-soft-ink">No clock runs. Soaks, flashes and cures appear here.</span>
        )}
        {running.map((timer) => (
          <RunningClock key={timer.id} timer={timer} jobNumber={jobNumber(timer.jobId)} nowMs={nowMs} />
        ))}
        <Meanwhile />
      </div>
    </aside>
  );
}

interface ClockProps {
  readonly timer: TimersView['timers'][number];
  readonly jobNumber: string;
  readonly nowMs: number;
}

function RunningClock({ timer, jobNumber, nowMs }: ClockProps) {
  const [acknowledge, { error }] = useAcknowledgeTimerMutation();
  const [asks, setAsks] = useState(false);
  return (
    <span className="inline-flex items-center gap-1.5">
      <Sign of="clock" />
      <Link to={`/jobs/${timer.jobId}`} className="underline underline-offset-4">
        {jobNumber}
      </Link>
      <span>{sayClock(timer)}</span>
      <strong className="figure">{formatClock((Date.parse(timer.endsAt) - nowMs) / 1000)}</strong>
      {asks ? (
        <>
          <button type="button" className="plain-button" onClick={() => void acknowledge(timer.id)}>
            {timer.kind === 'airing' ? 'It is aired' : 'Stop it early'}
          </button>
          <button type="button" className="quiet-button" onClick={() => setAsks(false)}>
            Let it run
          </button>
        </>
      ) : (
        <button
          type="button"
          className="quiet-button"
          aria-label={`Stop the clock ${timer.label}`}
          onClick={() => setAsks(true)}
        >
          Stop
        </button>
      )}
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </span>
  );
}

/** Sounds until somebody presses it; the whole strip is the target. */
function DueClock({ timer, more, jobNumber, nowMs }: ClockProps & { readonly more: number }) {
  const [acknowledge] = useAcknowledgeTimerMutation();
  const lateMin = (nowMs - Date.parse(timer.endsAt)) / 60_000;
  return (
    <button
      type="button"
      role="alert"
      className="main-button flex min-h-16 w-full justify-between text-lead"
      onClick={() => void acknowledge(timer.id)}
    >
      <span>
        <Sign of="warning" />
        {jobNumber} {timer.label}: time is up{lateMin >= 1 ? `, over by ${formatMinutes(lateMin)}` : ''}
        {more > 0 && `; ${more} more ${more === 1 ? 'rings' : 'ring'}`}
        {lateMin >= 1 && <span className="block text-note font-normal">{sayLate(timer.late)}</span>}
      </span>
      <span className="shrink-0">Press to silence</span>
    </button>
  );
}

/** The first act on another model that hands can do and that may share the room with what runs. */
function Meanwhile() {
  const { data: bench } = useGetBenchQuery();
  const lane = bench?.lanes.find(
    (candidate) =>
      candidate.next && !candidate.next.underWay && candidate.roomRefusal === null && !candidate.job.signedOffAt,
  );
  if (!lane?.next) return null;
  return (
    <span className="ml-auto min-w-0 text-soft-ink">
      Meanwhile:{' '}
      <Link className="text-ink underline underline-offset-4" to={`/jobs/${lane.job.id}/${lane.next.station}`}>
        {lane.job.number} {lowerFirst(lane.next.title)}
      </Link>
    </span>
  );
}
