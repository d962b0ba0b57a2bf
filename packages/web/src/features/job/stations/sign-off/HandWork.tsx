import { computeStationState, STATION_LABELS, STATIONS, type Task } from '@sardonyx/core';
import { useMemo } from 'react';
import { formatMinutes } from '../../../../shared/format.ts';
import { Chart } from '../../../../shared/ui/Chart.tsx';
import { axisText, type DrawChart } from '../../../../shared/ui/drawChart.ts';

/** Minutes at the hands by station, what is done and what is left, as they were planned. */
export function HandWork({ tasks }: { readonly tasks: readonly Task[] }) {
  const rows = useMemo(
    () =>
      STATIONS.map((station) => ({ name: STATION_LABELS[station], ...computeStationState(tasks, station) })).filter(
        ({ total }) => total > 0,
      ),
    [tasks],
  );
  const draw = useMemo((): DrawChart => (theme) => drawRows(rows, theme), [rows]);
  const sum = (minutesOf: (row: (typeof rows)[number]) => number) => rows.reduce((all, row) => all + minutesOf(row), 0);
  if (rows.length === 0) return null;
  const [done, left] = [sum((row) => row.handsOnDoneMin), sum((row) => row.handsOnLeftMin)];
  const words = `${formatMinutes(done)} at the hands done${left > 0 ? `, ${formatMinutes(left)} left` : ''}`;
  return (
    <section aria-label="Hand work by station">
      <h3>{words}</h3>
      <Chart
        label={`Hand work by station: ${words}`}
        draw={draw}
        heightPx={rows.length * 30 + 44}
        twin={{
          headings: ['Station', 'Done', 'Left'],
          rows: rows.map((row) => [row.name, say(row.handsOnDoneMin), say(row.handsOnLeftMin)]),
        }}
      />
      <p className="text-note text-soft-ink">
        Minutes as they were planned (planning estimates). A full bar is done, a hollow one is left.
      </p>
    </section>
  );
}

const say = (minutes: number) => (minutes > 0 ? formatMinutes(minutes) : 'none');

type Row = ReturnType<typeof computeStationState> & { readonly name: string };

function drawRows(rows: readonly Row[], { ink, hairline, sheet }: Parameters<DrawChart>[0]): ReturnType<DrawChart> {
  const text = axisText(ink);
  const bar = (data: readonly number[], color: string) => ({
    ...{ type: 'bar' as const, stack: 'hands', silent: true, barWidth: 14, data: [...data] },
    itemStyle: { color, borderColor: ink, borderWidth: 1 },
  });
  return {
    grid: { left: 8, right: 24, top: 4, bottom: 4, containLabel: true },
    xAxis: {
      type: 'value' as const,
      axisLabel: {
        ...text,
        hideOverlap: true,
        formatter: (minutes: number) => (minutes ? formatMinutes(minutes) : '0'),
      },
      splitLine: { lineStyle: { color: hairline } },
      minInterval: 30,
    },
    yAxis: {
      ...{ type: 'category' as const, inverse: true, data: rows.map(({ name }) => name) },
      axisLabel: text,
      axisTick: { show: false },
    },
    series: [
      bar(
        rows.map(({ handsOnDoneMin }) => handsOnDoneMin),
        ink,
      ),
      bar(
        rows.map(({ handsOnLeftMin }) => handsOnLeftMin),
        sheet,
      ),
    ],
  };
}
