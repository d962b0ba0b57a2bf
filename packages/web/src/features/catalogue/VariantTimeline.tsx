import type { CastingView } from '@sardonyx/contract';
import type { Observation } from '@sardonyx/core';
import { useMemo } from 'react';
import { Chart } from '../../shared/ui/Chart.tsx';
import { axisText, type DrawChart } from '../../shared/ui/drawChart.ts';
import { createRows, type TimelineRow } from './timelineRows.ts';

const ROW_PX = 30;

interface VariantTimelineProps {
  readonly view: CastingView;
  /** What was seen on one model; its states are marked. */
  readonly observations: readonly Observation[];
}

/**
 * Issues as spans along the years, pale where the span is not certain; below them the features, each a row of the states
 * in the years they were used over the whole range. Evidence of a model is notched on its feature. The table is its twin.
 */
export function VariantTimeline({ view, observations }: VariantTimelineProps) {
  const rows = useMemo(() => createRows(view, observations), [view, observations]);
  const draw = useMemo((): DrawChart => (theme) => createOption(rows, theme), [rows]);
  return (
    <Chart
      label="Issues along the years, and the states of features; the same is in the table below"
      draw={draw}
      heightPx={rows.length * ROW_PX + 40}
      twin={null}
    />
  );
}

function createOption(
  rows: readonly TimelineRow[],
  { ink, soft, hairline, sheet, sard }: Parameters<DrawChart>[0],
): ReturnType<DrawChart> {
  const pieces = rows.flatMap((row, at) => row.pieces.map((piece) => ({ ...piece, at })));
  const text = axisText(ink);
  return {
    grid: { left: 12, right: 24, top: 8, bottom: 8, containLabel: true },
    xAxis: {
      type: 'value' as const,
      min: Math.floor(Math.min(...pieces.map((piece) => piece.from))),
      max: Math.ceil(Math.max(...pieces.map((piece) => piece.to))),
      minInterval: 1,
      axisLabel: { ...text, formatter: (year: number) => String(year) },
      splitLine: { lineStyle: { color: hairline } },
    },
    yAxis: {
      type: 'category' as const,
      inverse: true,
      data: rows.map((row) => row.label),
      axisLabel: { ...text, width: 260, overflow: 'truncate' as const },
      axisTick: { show: false },
    },
    series: [
      {
        type: 'custom' as const,
        silent: true,
        clip: true,
        data: pieces.map((piece) => [piece.at, piece.from, piece.to]),
        renderItem: (params: { dataIndex: number }, tools: { coord: (point: [number, number]) => number[] }) => {
          const piece = pieces[params.dataIndex]!;
          const [left, y] = tools.coord([piece.from, piece.at]) as [number, number];
          const [right] = tools.coord([piece.to, piece.at]) as [number, number];
          const fill = { solid: ink, faint: soft, state: sheet, seen: ink }[piece.kind];
          const height = piece.kind === 'state' || piece.kind === 'seen' ? 22 : 14;
          const bar = {
            type: 'rect',
            shape: { x: left + 0.5, y: y - height / 2, width: Math.max(1, right - left - 1), height },
            style: { fill, stroke: piece.kind === 'state' ? soft : 'none', lineWidth: 1 },
          };
          const words = piece.label && {
            type: 'text',
            style: {
              ...{
                text: piece.label,
                x: left + 6,
                y,
                verticalAlign: 'middle',
                width: right - left - 10,
                overflow: 'truncate',
              },
              ...{ fill: piece.kind === 'seen' ? sheet : ink, font: '13px "Atkinson Hyperlegible Next Variable"' },
            },
          };
          const notch = (x: number) => ({
            type: 'polygon',
            shape: {
              points: [
                [x - 5, y - 14],
                [x + 5, y - 14],
                [x, y - 6],
              ],
            },
            style: { fill: sard },
          });
          const notches = piece.kind === 'seen' ? [notch(left), notch(right)] : [];
          return {
            type: 'group',
            children: [bar, ...notches, ...(words && right - left > 40 ? [words] : [])],
          } as never;
        },
      },
    ],
  };
}
