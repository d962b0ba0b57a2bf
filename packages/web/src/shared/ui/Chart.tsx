import { lazy, Suspense } from 'react';
import type { DrawChart } from './drawChart.ts';
import { Fold } from './Fold.tsx';

/** The figures of a chart, in words and numbers. */
export interface ChartTwin {
  readonly headings: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
}

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
      {twin && (
        <Fold title="The same as a table">
          <div className="max-h-60 overflow-auto" tabIndex={0} role="region" aria-label={`${label}, as a table`}>
            <table className="text-note">
              <thead>
                <tr>
                  {twin.headings.map((heading) => (
                    <th key={heading} scope="col" className="pr-6 text-left font-semibold">
                      {heading}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {twin.rows.map((row, i) => (
                  <tr key={i} className="border-t border-hairline">
                    {row.map((cell, at) => (
                      <td key={at} className="figure py-0.5 pr-6">
                        {cell}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </Fold>
      )}
    </figure>
  );
}
