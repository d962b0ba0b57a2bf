import type { EveningRun, EveningsReport, JobOutlook } from '@sardonyx/core';
import { formatMinutes } from '../../shared/format.ts';
import { Sign } from '../../shared/ui/Sign.tsx';
import { DAY_MS, DAY_PX, ROW_PX, startOfDay, type CalendarLine } from './Calendar.tsx';
import { sayOutlook, type Names } from './sayEvenings.ts';

/** A line a job, the latest first. Blocks: hands, as high as their share of the evening; thin bars: it dries or soaks; the stroke: promised by then. */
export function listJobLines({ runs, jobs }: EveningsReport, names: Names): CalendarLine[] {
  const ordered = [...jobs].sort((a, b) => b.lateMin - a.lateMin || (a.dueAt ?? Infinity) - (b.dueAt ?? Infinity));
  return ordered.map((job) => ({
    key: job.jobId,
    head: (
      <>
        <strong className="figure">{names.jobs.get(job.jobId)}</strong>
        <p className="text-note">
          {job.lateMin > 0 && <Sign of="warning" />}
          {sayOutlook(job)}
        </p>
      </>
    ),
    draw: (xOf) => <JobLine job={job} runs={runs} names={names} xOf={xOf} />,
    say: (run) => {
      const minutes = sumHands(run, job.jobId, names);
      return minutes > 0 ? formatMinutes(minutes) : '';
    },
  }));
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
