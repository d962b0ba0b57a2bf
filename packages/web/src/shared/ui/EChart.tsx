import { BarChart, CustomChart, LineChart } from 'echarts/charts';
import { GridComponent, LegendComponent, MarkLineComponent } from 'echarts/components';
import * as echarts from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import type { DrawChart } from './drawChart.ts';

echarts.use([BarChart, CustomChart, LineChart, GridComponent, LegendComponent, MarkLineComponent, SVGRenderer]);

/** The greys of the theme that is on, and the one accent. */
function readTheme(): Parameters<DrawChart>[0] {
  const style = getComputedStyle(document.documentElement);
  const read = (name: string) => style.getPropertyValue(name).trim();
  return {
    ...{ ink: read('--ink'), soft: read('--strong-line'), hairline: read('--hairline') },
    ...{ sheet: read('--sheet'), sard: read('--sard') },
  };
}

interface EChartProps {
  readonly label: string;
  readonly draw: DrawChart;
  readonly heightPx: number;
}

export function EChart({ label, draw, heightPx }: EChartProps) {
  const box = useRef<HTMLDivElement>(null);
  const chart = useRef<echarts.ECharts>(null);
  useEffect(() => {
    const own = echarts.init(box.current, null, { renderer: 'svg' });
    chart.current = own;
    const resized = new ResizeObserver(() => own.resize());
    resized.observe(box.current!);
    return () => {
      resized.disconnect();
      own.dispose();
    };
  }, []);
  useEffect(() => {
    const paint = () => chart.current!.setOption({ animation: false, ...draw(readTheme()) }, { notMerge: true });
    paint();
    // The chart's colours are read from the theme, so a change of theme draws it again.
    const themed = new MutationObserver(paint);
    themed.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
    return () => themed.disconnect();
  }, [draw]);
  return (
    <div
      ref={box}
      role="img"
      aria-label={label}
      style={{ height: heightPx }}
      className="w-full border border-hairline bg-sheet"
    />
  );
}
