import type { CastingView } from '@sardonyx/contract';
import type { Observation } from '@sardonyx/core';
import { CustomChart } from 'echarts/charts';
import { GridComponent } from 'echarts/components';
import * as echarts from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useMemo, useRef } from 'react';
import { createRows, type TimelineRow } from './timelineRows.ts';

echarts.use([CustomChart, GridComponent, SVGRenderer]);

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
  const box = useRef<HTMLDivElement>(null);
  const rows = useMemo(() => createRows(view, observations), [view, observations]);
  useEffect(() => {
    const chart = echarts.init(box.current, null, { renderer: 'svg' });
    const draw = () => chart.setOption(createOption(rows), { notMerge: true });
    draw();
    const resized = new ResizeObserver(() => chart.resize());
    resized.observe(box.current!);
    // The chart's colours are read from the theme, so a change of theme draws it again.
    const themed = new MutationObserver(draw);
    themed.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
    return () => {
      themed.disconnect();
      resized.disconnect();
      chart.dispose();
    };
  }, [rows]);
  return (
    <div
      ref={box}
      role="img"
      aria-label="Issues along the years, and the states of features; the same is in the table below"
      style={{ height: rows.length * ROW_PX + 40 }}
      className="w-full border border-hairline bg-sheet"
    />
  );
}

function createOption(rows: readonly TimelineRow[]) {
  const style = getComputedStyle(document.documentElement);
  const [ink, soft, hairline, sheet, sard] = ['--ink', '--strong-line', '--hairline', '--sheet', '--sard'].map((name) =>
    style.getPropertyValue(name).trim(),
  );
  const pieces = rows.flatMap((row, at) => row.pieces.map((piece) => ({ ...piece, at })));
  const text = { color: ink, fontFamily: 'Atkinson Hyperlegible Next Variable', fontSize: 14 };
  return {
    animation: false,
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
