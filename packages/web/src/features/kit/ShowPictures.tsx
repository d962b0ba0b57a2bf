import { useState } from 'react';
import { Chart } from '../../shared/ui/Chart.tsx';
import type { DrawChart } from '../../shared/ui/drawChart.ts';
import { PictureCanvas, type PicturePoint } from '../../shared/ui/PictureCanvas.tsx';
import { Shown } from './Shown.tsx';

const BOX = { x: 0, y: 0, width: 200, height: 120 };
const HOURS = [2, 3.5, 1, 0, 4, 2.5, 3];

const drawHours: DrawChart = ({ ink, hairline }) => ({
  grid: { left: 8, right: 12, top: 12, bottom: 8, containLabel: true },
  xAxis: { type: 'category', data: HOURS.map((_, i) => `week ${i + 1}`), axisLabel: { color: ink, fontSize: 13 } },
  yAxis: { type: 'value', axisLabel: { color: ink, fontSize: 13 }, splitLine: { lineStyle: { color: hairline } } },
  series: [{ type: 'line', silent: true, data: HOURS, lineStyle: { color: ink }, itemStyle: { color: ink } }],
});

export function ShowPictures() {
  const [points, setPoints] = useState<readonly PicturePoint[]>([{ x: 60, y: 40 }]);
  return (
    <Shown part="Pictures, charts">
      <div className="col-span-full grid gap-8 lg:grid-cols-2">
        <PictureCanvas
          label="A grey sheet"
          box={BOX}
          points={points}
          onAdd={(point) => setPoints([...points, point])}
          onMove={(index, point) => setPoints(points.map((one, i) => (i === index ? point : one)))}
        >
          {(k) => <rect {...BOX} fill="#8a8a8a" stroke="#000" strokeWidth={2 * k} />}
        </PictureCanvas>
        <Chart
          label="Hours at the bench, seven weeks"
          draw={drawHours}
          heightPx={260}
          twin={{ headings: ['Week', 'Hours'], rows: HOURS.map((hours, i) => [`week ${i + 1}`, hours]) }}
        />
      </div>
    </Shown>
  );
}
