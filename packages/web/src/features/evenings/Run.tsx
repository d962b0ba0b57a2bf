import type { EveningRun, RunStep } from '@sardonyx/core';
import { Link } from 'react-router';
import { formatHour, formatSoon } from '../../shared/dates/sayDates.ts';
import { formatMinutes } from '../../shared/format.ts';
import { Sign } from '../../shared/ui/Sign.tsx';
import type { Names } from './sayEvenings.ts';

interface RunProps {
  readonly run: EveningRun;
  readonly names: Names;
  /** Tasks that begin later than a window lets them. */
  readonly late: readonly string[];
  /** No more than these. */
  readonly most?: number;
  readonly act?: (step: RunStep) => React.ReactNode;
}

/** The steps of an evening in their order: when, who, what, what is in the gun, what runs by itself meanwhile. */
export function Run({ run, names, late, most = Infinity, act }: RunProps) {
  const now = new Date(run.from);
  const several = new Set(run.steps.map(({ restorerId }) => restorerId)).size > 1;
  return (
    <ol className="divide-y divide-hairline border-y border-hairline">
      {run.steps.slice(0, most).map((step, i) => {
        const task = names.tasks.get(step.taskId);
        const before = run.steps.slice(0, i).findLast(({ restorerId }) => restorerId === step.restorerId);
        const gun = task?.gun ?? null;
        const isNewColour = gun !== null && (before === undefined || names.tasks.get(before.taskId)?.gun !== gun);
        return (
          <li key={step.taskId} className="grid grid-cols-[4rem_minmax(0,1fr)_auto] items-baseline gap-x-3 py-1.5">
            <span className="figure">{formatHour(step.startsAt)}</span>
            <div className="min-w-0">
              <p>
                <Link className="underline underline-offset-4" to={`/jobs/${task?.jobId ?? ''}/${task?.station ?? ''}`}>
                  {names.jobs.get(task?.jobId ?? '')}
                </Link>{' '}
                {task?.title}
                {several && <span className="text-soft-ink">, {names.restorers.get(step.restorerId)}</span>}
              </p>
              <p className="text-note text-soft-ink">{sayAround(step, isNewColour ? gun : null, now)}</p>
              {(task?.isPastWindow || late.includes(step.taskId)) && (
                <p className="text-note">
                  <Sign of="warning" /> Nobody is here before its window shuts, or before it is too late: look first,
                  rub or wipe.
                </p>
              )}
              {task?.isArrivalGuess && (
                <p className="text-note text-soft-ink">When it comes nobody promised: a planning estimate.</p>
              )}
            </div>
            <span className="figure whitespace-nowrap">
              {step.handsUntil > step.startsAt ? formatMinutes((step.handsUntil - step.startsAt) / 60_000) : ''}
              {act?.(step)}
            </span>
          </li>
        );
      })}
    </ol>
  );
}

function sayAround(
  { watchedUntil, passiveUntil, runsOn, cleaningMin }: RunStep,
  gun: string | null,
  now: Date,
): string {
  return [
    ...(gun ? [`${gun} into the gun`] : []),
    ...(watchedUntil === null ? [] : [`stay with it until ${formatSoon(watchedUntil, now)}`]),
    ...(passiveUntil === null
      ? []
      : [
          `${runsOn ? 'goes on by itself when everybody has left, until' : 'runs by itself until'} ${formatSoon(passiveUntil, now)}`,
        ]),
    ...(cleaningMin > 0 ? [`clean the gun after it, ${formatMinutes(cleaningMin)}`] : []),
  ].join('; ');
}
