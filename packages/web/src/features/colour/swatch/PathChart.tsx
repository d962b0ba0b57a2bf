import { useMemo } from 'react';
import { Chart } from '../../../shared/ui/Chart.tsx';
import { axisText, type DrawChart } from '../../../shared/ui/drawChart.ts';
import { formatMl } from '../../../shared/colour/formatColour.ts';

interface PathChartProps {
  readonly paths: readonly {
    readonly title: string;
    readonly points: readonly { readonly ml: number; readonly de: number }[];
  }[];
  /** What is near enough, dE00. */
  readonly tolerance: number;
}

/** How near each patch came, over what was in the cup then; the line lies where it is near enough. */
export function PathChart({ paths, tolerance }: PathChartProps) {
  const draw = useMemo((): DrawChart => (theme) => drawPaths(paths, tolerance, theme), [paths, tolerance]);
  const label = paths
    .map(({ title, points }) => `${title}: ${points.map(({ de }) => de.toFixed(1)).join(', ') || 'no patch'} off`)
    .join('; ');
  return (
    <Chart
      label={label}
      draw={draw}
      heightPx={190}
      twin={{
        headings: ['Path', 'Patch', 'In the cup', 'Off, dE00'],
        rows: paths.flatMap(({ title, points }) =>
          points.map(({ ml, de }, i) => [title, i + 1, formatMl(ml), de.toFixed(1)]),
        ),
      }}
    />
  );
}

function drawPaths(
  paths: PathChartProps['paths'],
  tolerance: number,
  { ink, hairline, sheet, sard }: Parameters<DrawChart>[0],
): ReturnType<DrawChart> {
  const text = axisText(ink);
  const name = { nameTextStyle: text, nameLocation: 'middle' as const };
  return {
    grid: { left: 44, right: paths.length > 1 ? 72 : 24, top: 26, bottom: 40 },
    xAxis: {
      ...{ type: 'value' as const, name: 'in the cup, ml', nameGap: 26, ...name },
      axisLabel: text,
      splitLine: { show: false },
    },
    yAxis: {
      ...{ type: 'value' as const, name: 'off, dE00', nameGap: 30, ...name, min: 0 },
      axisLabel: text,
      splitLine: { lineStyle: { color: hairline } },
    },
    series: paths.map(({ title, points }, i) => ({
      type: 'line' as const,
      silent: true,
      data: points.map(({ ml, de }) => [ml, de]),
      symbol: i === 0 ? 'rect' : 'circle',
      symbolSize: 9,
      itemStyle: { color: i === 0 ? ink : sheet, borderColor: ink, borderWidth: 2 },
      lineStyle: { color: ink, width: 2, type: i === 0 ? ('solid' as const) : ('dashed' as const) },
      // The name stands at the line's own end: no key to look up.
      endLabel: { show: paths.length > 1, formatter: title, ...text },
      ...(i === 0
        ? {
            markLine: {
              ...{ silent: true, symbol: 'none', data: [{ yAxis: tolerance }] },
              lineStyle: { color: sard, width: 2, type: 'solid' as const },
              label: { ...text, formatter: 'near enough', position: 'insideStartTop' as const },
            },
          }
        : {}),
    })),
  };
}
