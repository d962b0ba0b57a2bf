import { useDroppable } from '@dnd-kit/core';
import type { EveningRun, EveningsReport, JobOutlook } from '@sardonyx/core';
import { useState } from 'react';
import { formatEvening } from '../../shared/dates/sayDates.ts';
import { formatMinutes } from '../../shared/format.ts';
import { Sign } from '../../shared/ui/Sign.tsx';
import { Twin } from '../../shared/ui/Twin.tsx';
import { sayOutlook, type Names } from './sayEvenings.ts';

interface CalendarProps {
  readonly report: EveningsReport;
  readonly names: Names;
  /** Local day of the run that is looked at. */
  readonly day: string | null;
  readonly onDay: (on: string) => void;
}

const DAY_MS = 86_400_000;
const DAY_PX = 26;
const ROW_PX = 44;
const HEAD_PX = 44;

/**
 * Weeks to the right, a line a job. Evenings are columns; what hands do in them stands as a block, as high as its share of the evening;
 * what dries or soaks runs on as a thin bar through the nights. A stroke is the promised day.
 */
export function Calendar({ report, names, day, onDay }: CalendarProps) {
  const { runs, jobs } = report;
  const [from] = useState(() => startOfDay(runs[0]?.from ?? Date.now()));
  const ends = Math.max(report.readyAt, ...jobs.map(({ dueAt }) => dueAt ?? 0)) + DAY_MS;
  const days = Math.max(14, Math.ceil((ends - from) / DAY_MS));
  const xOf = (at: number) => ((at - from) / DAY_MS) * DAY_PX;
  const ordered = [...jobs].sort((a, b) => b.lateMin - a.lateMin || (a.dueAt ?? Infinity) - (b.dueAt ?? Infinity));
  const height = HEAD_PX + ordered.length * ROW_PX;
  return (
    <div>
      <div className="flex border border-hairline bg-sheet">
        <ol
          aria-label="Models, the latest first"
          className="w-52 shrink-0 border-r border-hairline"
          style={{ paddingTop: HEAD_PX }}
        >
          {ordered.map((job) => (
            <li key={job.jobId} className="px-2 leading-5" style={{ height: ROW_PX }}>
              <strong className="figure">{names.jobs.get(job.jobId)}</strong>
              <p className="text-note">
                {job.lateMin > 0 && <Sign of="warning" />}
                {sayOutlook(job)}
              </p>
            </li>
          ))}
        </ol>
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Weeks, to the right">
          <svg width={days * DAY_PX} height={height} role="group" aria-label="Evenings of all models">
            {Array.from({ length: days }, (_, i) => from + i * DAY_MS).map((at) => (
              <DayHead key={at} at={at} x={xOf(at)} height={height} />
            ))}
            {runs.map((run) => (
              <Evening
                key={run.on}
                run={run}
                x={xOf(startOfDay(run.from))}
                height={height}
                isChosen={run.on === day}
                onDay={onDay}
              />
            ))}
            {ordered.map((job, row) => (
              <g
                key={job.jobId}
                transform={`translate(0 ${HEAD_PX + row * ROW_PX})`}
                aria-hidden
                className="pointer-events-none"
              >
                <JobLine job={job} runs={runs} names={names} xOf={xOf} />
              </g>
            ))}
          </svg>
        </div>
      </div>
      <p className="mt-1 text-note text-soft-ink">
        Blocks: hands, as high as their share of the evening. Thin bars: it dries, sets or soaks. Stroke: promised by
        then. Press an evening to see its steps.
      </p>
      <Twin
        label="Evenings of all models"
        headings={['Evening', ...ordered.map(({ jobId }) => names.jobs.get(jobId) ?? '')]}
        rows={runs.map((run) => [
          formatEvening(run.from),
          ...ordered.map(({ jobId }) => {
            const minutes = sumHands(run, jobId, names);
            return minutes > 0 ? formatMinutes(minutes) : '';
          }),
        ])}
      />
    </div>
  );
}

function DayHead({ at, x, height }: { readonly at: number; readonly x: number; readonly height: number }) {
  const date = new Date(at);
  const isMonday = date.getDay() === 1;
  return (
    <g aria-hidden>
      {isMonday && <line x1={x} x2={x} y1={0} y2={height} className="stroke-strong-line" />}
      {isMonday && (
        <text x={x + 4} y={15} className="fill-ink text-[0.8125rem]">
          {formatEvening(at)}
        </text>
      )}
      <text x={x + DAY_PX / 2} y={36} textAnchor="middle" className="fill-soft-ink text-[0.8125rem]">
        {date.getDate()}
      </text>
    </g>
  );
}

interface EveningProps {
  readonly run: EveningRun;
  readonly x: number;
  readonly height: number;
  readonly isChosen: boolean;
  readonly onDay: (on: string) => void;
}

function Evening({ run, x, height, isChosen, onDay }: EveningProps) {
  const count = run.steps.length;
  const { setNodeRef, isOver } = useDroppable({ id: run.on });
  return (
    <g
      // An evening is no box of the page, but it has a place on it.
      ref={(drawn) => setNodeRef(drawn as unknown as HTMLElement | null)}
      role="button"
      tabIndex={0}
      aria-pressed={isChosen}
      aria-label={`${formatEvening(run.from)}, ${count === 1 ? '1 step' : `${count} steps`}`}
      className="cursor-pointer"
      onClick={() => onDay(run.on)}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onDay(run.on);
      }}
    >
      <rect
        x={x + 1}
        y={HEAD_PX - 20}
        width={DAY_PX - 2}
        height={height - HEAD_PX + 20}
        className={isOver ? 'fill-sunk stroke-sard' : isChosen ? 'fill-sunk stroke-ink' : 'fill-sunk'}
        strokeWidth={isOver ? 4 : isChosen ? 2 : 0}
      />
      {isChosen && (
        <text
          x={x + DAY_PX / 2}
          y={36}
          textAnchor="middle"
          className="fill-ink text-[0.8125rem] font-semibold"
          aria-hidden
        >
          {new Date(run.from).getDate()}
        </text>
      )}
    </g>
  );
}

interface JobLineProps {
  readonly job: JobOutlook;
  readonly runs: readonly EveningRun[];
  readonly names: Names;
  readonly xOf: (at: number) => number;
}

function JobLine({ job, runs, names, xOf }: JobLineProps) {
  const own = (run: EveningRun) => run.steps.filter(({ taskId }) => names.tasks.get(taskId)?.jobId === job.jobId);
  return (
    <>
      <line x1={0} x2={10_000} y1={0} y2={0} className="stroke-hairline" />
      {runs.flatMap((run) =>
        own(run)
          .filter(({ passiveUntil, handsUntil }) => passiveUntil !== null && passiveUntil - handsUntil > DAY_MS / 6)
          .map((step) => (
            <rect
              key={step.taskId}
              x={xOf(step.handsUntil)}
              y={ROW_PX - 9}
              width={Math.max(1, xOf(step.passiveUntil!) - xOf(step.handsUntil))}
              height={3}
              className="fill-soft-ink"
            />
          )),
      )}
      {runs.map((run) => {
        const minutes = sumHands(run, job.jobId, names);
        if (minutes === 0) return null;
        const share = Math.min(1, minutes / ((run.to - run.from) / 60_000));
        const tall = Math.max(3, share * (ROW_PX - 14));
        return (
          <rect
            key={run.on}
            x={xOf(startOfDay(run.from)) + 5}
            y={ROW_PX - 10 - tall}
            width={DAY_PX - 10}
            height={tall}
            className="fill-ink"
          />
        );
      })}
      {job.dueAt !== null && (
        <line x1={xOf(job.dueAt)} x2={xOf(job.dueAt)} y1={3} y2={ROW_PX - 3} strokeWidth={2} className="stroke-sard" />
      )}
      {job.lateMin > 0 && (
        <line
          x1={xOf(job.dueAt!)}
          x2={xOf(job.readyAt!)}
          y1={6}
          y2={6}
          strokeWidth={2}
          strokeDasharray="4 3"
          className="stroke-sard"
        />
      )}
    </>
  );
}

function sumHands(run: EveningRun, jobId: string, names: Names): number {
  return run.steps.reduce(
    (sum, step) =>
      sum + (names.tasks.get(step.taskId)?.jobId === jobId ? (step.handsUntil - step.startsAt) / 60_000 : 0),
    0,
  );
}

const startOfDay = (at: number) => new Date(at).setHours(0, 0, 0, 0);
