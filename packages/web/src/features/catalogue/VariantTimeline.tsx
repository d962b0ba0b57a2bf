import type { Variant } from '@sardonyx/core';
import { BarChart } from 'echarts/charts';
import { GridComponent } from 'echarts/components';
import * as echarts from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';

echarts.use([BarChart, GridComponent, SVGRenderer]);

const ROW_PX = 34;

/** Variants as spans along the years; the pale ends are where the span is not certain. The table below is its twin. */
export function VariantTimeline({ variants }: { readonly variants: readonly Variant[] }) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const chart = echarts.init(box.current, null, { renderer: 'svg' });
    const draw = () => chart.setOption(createOption(variants), { notMerge: true });
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
  }, [variants]);
  return (
    <div
      ref={box}
      role="img"
      aria-label="Issues along the years; the same is in the table below"
      style={{ height: variants.length * ROW_PX + 40 }}
      className="w-full border border-hairline bg-sheet"
    />
  );
}

function createOption(variants: readonly Variant[]) {
  const style = getComputedStyle(document.documentElement);
  const [ink, soft, hairline] = ['--ink', '--strong-line', '--hairline'].map((name) =>
    style.getPropertyValue(name).trim(),
  );
  const first = Math.floor(Math.min(...variants.map((variant) => variant.startEarliest)));
  const last = Math.ceil(Math.max(...variants.map((variant) => variant.endLatest)));
  const text = { color: ink, fontFamily: 'Atkinson Hyperlegible Next Variable', fontSize: 14 };
  const series = (data: number[], color: string | undefined) => ({
    type: 'bar' as const,
    stack: 'span',
    barWidth: 14,
    silent: true,
    data,
    itemStyle: { color },
  });
  return {
    animation: false,
    grid: { left: 12, right: 24, top: 8, bottom: 8, containLabel: true },
    xAxis: {
      type: 'value' as const,
      min: first,
      max: last,
      minInterval: 1,
      axisLabel: { ...text, formatter: (year: number) => String(year) },
      splitLine: { lineStyle: { color: hairline } },
    },
    yAxis: {
      type: 'category' as const,
      inverse: true,
      data: variants.map((variant) => variant.name),
      axisLabel: { ...text, width: 260, overflow: 'break' as const },
      axisTick: { show: false },
    },
    series: [
      series(
        variants.map((variant) => variant.startEarliest),
        'transparent',
      ),
      series(
        variants.map((variant) => variant.startLatest - variant.startEarliest),
        soft,
      ),
      series(
        variants.map((variant) => variant.endEarliest - variant.startLatest),
        ink,
      ),
      series(
        variants.map((variant) => variant.endLatest - variant.endEarliest),
        soft,
      ),
    ],
  };
}
