import { lazy, Suspense } from 'react';
import type { DrawChart } from './drawChart.ts';
import { Twin, type ChartTwin } from './Twin.tsx';

interface ChartProps {
  /** What it shows, in a sentence. */
  readonly label: string;
  readonly draw: DrawChart;
  readonly heightPx: number;
  /** null where the same figures stand in a table beside it anyway. */
  readonly twin: ChartTwin | null;
}

const EChart = lazy(() => import('./EChart.tsx').then((module) => ({ default: module.EChart })));

/** A chart and its twin as a table. The library that draws comes when the first chart is looked at. */
export function Chart({ label, draw, heightPx, twin }: ChartProps) {
  return (
    <figure>
      <Suspense fallback={<div style={{ height: heightPx }} className="border border-hairline bg-sheet" />}>
        <EChart label={label} draw={draw} heightPx={heightPx} />
      </Suspense>
      {twin && <Twin label={label} {...twin} />}
    </figure>
  );
}
