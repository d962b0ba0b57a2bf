import type { HoursView } from '@sardonyx/contract';
import { HOUR_KINDS, type HourKind } from '@sardonyx/core';
import { useMemo } from 'react';
import { useGetHoursQuery } from '../../shared/api/eveningsApi.ts';
import { formatHours, formatMinutes } from '../../shared/format.ts';
import { Chart } from '../../shared/ui/Chart.tsx';
import { axisText, type DrawChart } from '../../shared/ui/drawChart.ts';
import { Fold } from '../../shared/ui/Fold.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';

/** What the hours of the open jobs go into, and what the log says of the estimates; read when it is unfolded. */
export const Hours = () => (
  <Fold title="Hours, and what cleaning takes of them">
    <HoursOfJobs />
  </Fold>
);

type Jobs = HoursView['jobs'];

function HoursOfJobs() {
  const { data, error } = useGetHoursQuery();
  const draw = useMemo((): DrawChart => (theme) => drawHours(data?.jobs ?? [], theme), [data]);
  if (!data) return <Pending what="the hours" error={error} />;
  const { jobs } = data;
  const sum = (kind: HourKind) => jobs.reduce((all, { kinds }) => all + kinds[kind].plannedMin, 0);
  const hands = sum('work') + sum('cleaning') + sum('matching');
  if (hands === 0) return <p className="py-2 pl-6">No step is planned.</p>;
  const share = (kind: HourKind) => `${((100 * sum(kind)) / hands).toFixed(0)} %`;
  return (
    <div className="space-y-2 py-2 pl-6">
      <p>
        {formatHours(hands)} at the hands by the steps of all open models: cleaning brush and gun {share('cleaning')},
        finding colours {share('matching')}. Somebody stays in the room for {formatHours(sum('watching'))} more.
      </p>
      <p>{sayLogged(jobs)}</p>
      <Chart
        label="Hours of each model by kind, as planned"
        draw={draw}
        heightPx={jobs.length * 28 + 70}
        twin={{
          headings: ['Model', ...HOUR_KINDS, 'done of it', 'timed', 'as planned', 'as it took'],
          rows: jobs.map(({ number, kinds, doneSteps, timedSteps }) => {
            const all = (read: (kind: HourKind) => number) =>
              HOUR_KINDS.reduce((minutes, kind) => minutes + read(kind), 0);
            return [
              number,
              ...HOUR_KINDS.map((kind) => say(kinds[kind].plannedMin)),
              say(all((kind) => kinds[kind].doneMin)),
              `${timedSteps} of ${doneSteps} steps`,
              say(all((kind) => kinds[kind].timedPlannedMin)),
              say(all((kind) => kinds[kind].timedMin)),
            ];
          }),
        }}
      />
      <p className="text-note text-soft-ink">
        Minutes are planning estimates. A step is timed when it was started and then done; what was only ticked says
        nothing of its time.
      </p>
    </div>
  );
}

const say = (minutes: number) => (minutes > 0 ? formatMinutes(minutes) : '');

function sayLogged(jobs: Jobs): string {
  const count = (read: (job: Jobs[number]) => number) => jobs.reduce((sum, job) => sum + read(job), 0);
  const [done, timed] = [count(({ doneSteps }) => doneSteps), count(({ timedSteps }) => timedSteps)];
  if (timed === 0) return done === 0 ? 'Nothing is done yet.' : `${done} steps are done, none of them was timed.`;
  const minutes = (read: 'timedMin' | 'timedPlannedMin') =>
    count(({ kinds }) => HOUR_KINDS.reduce((sum, kind) => sum + kinds[kind][read], 0));
  const [planned, took] = [minutes('timedPlannedMin'), minutes('timedMin')];
  const times = planned > 0 ? `, ${(took / planned).toFixed(1)} times as long as planned` : '';
  return `${timed} of ${done} done steps were timed: they took ${formatHours(took)}${times}.`;
}

/** From full to empty, in the order of the kinds: told apart by how dark they are, and by the words above. */
const FILLS: Readonly<Record<HourKind, (theme: Parameters<DrawChart>[0]) => string>> = {
  work: ({ ink }) => ink,
  cleaning: ({ sard }) => sard,
  matching: ({ hairline }) => hairline,
  watching: ({ sheet }) => sheet,
};

function drawHours(jobs: Jobs, theme: Parameters<DrawChart>[0]): ReturnType<DrawChart> {
  const text = axisText(theme.ink);
  return {
    legend: { top: 0, left: 0, textStyle: text, selectedMode: false },
    grid: { left: 8, right: 24, top: 34, bottom: 4, containLabel: true },
    xAxis: {
      type: 'value' as const,
      axisLabel: {
        ...text,
        hideOverlap: true,
        formatter: (minutes: number) => (minutes === 0 ? '0 h' : formatHours(minutes)),
      },
      splitLine: { lineStyle: { color: theme.hairline } },
      minInterval: 60,
    },
    yAxis: {
      ...{ type: 'category' as const, inverse: true, data: jobs.map(({ number }) => number) },
      axisLabel: text,
      axisTick: { show: false },
    },
    series: HOUR_KINDS.map((kind) => ({
      ...{ name: kind, type: 'bar' as const, stack: 'hours', silent: true, barWidth: 14 },
      itemStyle: { color: FILLS[kind](theme), borderColor: theme.ink, borderWidth: 1 },
      data: jobs.map(({ kinds }) => kinds[kind].plannedMin),
    })),
  };
}
