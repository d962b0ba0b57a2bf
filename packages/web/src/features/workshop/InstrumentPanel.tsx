import type { Instrument } from '@sardonyx/core';
import { useMemo, useState } from 'react';
import { Chart } from '../../shared/ui/Chart.tsx';
import { axisText, type DrawChart } from '../../shared/ui/drawChart.ts';
import { Sign } from '../../shared/ui/Sign.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { useTurnDialMutation } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { Autosaved } from '../../shared/form/Autosaved.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { useReading, type LiveState } from './useReading.ts';

/** One instrument: what it reads now, the last minutes as a line, its dial, and where it gets its readings. */
export function InstrumentPanel({ instrument }: { readonly instrument: Instrument }) {
  const elsewhere = READ_ELSEWHERE[instrument.kind];
  const isThermometer = elsewhere === undefined;
  const live = useReading(isThermometer ? instrument.id : null);
  const isSimulated = instrument.source === 'simulated';
  return (
    <section aria-label={instrument.name} className="border-t border-strong-line py-3">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h3>{instrument.name}</h3>
        {isThermometer && (
          <strong className="figure text-verdict" role="status">
            {live.celsius === null ? '–' : `${live.celsius.toFixed(1)} °C`}
          </strong>
        )}
        {isSimulated && <span className="border border-ink px-2 font-semibold">simulated</span>}
        {live.setC !== null && (
          <span>
            dial at {live.setC} °C, {live.isHeating ? 'heating' : 'not heating'}
          </span>
        )}
      </div>
      {!isThermometer && <p className="text-soft-ink">{elsewhere}</p>}
      {live.fault && (
        <p role="alert">
          <Sign of="warning" />
          {live.fault}
        </p>
      )}
      <Trail live={live} name={instrument.name} />
      {isSimulated && instrument.kind === 'oven probe' && <Dial instrument={instrument} setC={live.setC} />}
      <Fold title="Where its readings come from">
        <div className="grid gap-4 py-2 sm:grid-cols-2">
          <Autosaved
            kind="instruments"
            row={instrument}
            field="source"
            label="Source"
            options={['simulated', 'endpoint']}
          />
          <Autosaved kind="instruments" row={instrument} field="url" label="Address on this machine" />
        </div>
        <p className="text-note text-soft-ink">
          A real one answers a GET with {ANSWERS[instrument.kind]}; docs/formats/instrument.md says more. Give the
          address first, then choose endpoint.
        </p>
      </Fold>
    </section>
  );
}

const IN_THE_LAB = 'Reads in the colour lab, where its reading belongs to a mix or a part.';
const READ_ELSEWHERE: Readonly<Partial<Record<Instrument['kind'], string>>> = {
  scales: IN_THE_LAB,
  spectrophotometer: IN_THE_LAB,
  'weather forecast': 'Is asked at Evenings, where dry days are planned by.',
};

const ANSWERS: Readonly<Record<Instrument['kind'], string>> = {
  'oven probe': '{"celsius": 121.5}',
  'bath thermometer': '{"celsius": 21.5}',
  'room thermometer': '{"celsius": 18.5, "humidity": 52}',
  'weather forecast': '{"days": [{"on": "2026-11-26", "rainPercent": 70}]}',
  scales: '{"grams": 1.24}',
  spectrophotometer: '{"spectrum": [31 numbers], "geometry": "gloss left out"}',
};

const HIGH_PX = 150;
/** The twin has a line for so many readings. */
const EVERY = 30;

/** The last minutes as a line, with what it went between in figures below it. */
function Trail({ live: { trail }, name }: { readonly live: LiveState; readonly name: string }) {
  const draw = useMemo((): DrawChart => (theme) => drawTrail(trail, theme), [trail]);
  if (trail.length < 3) return null;
  const values = trail.map(([, celsius]) => celsius);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const lastS = (trail.at(-1)![0] - trail[0]![0]) / 1000;
  const words = `${name}: ${low.toFixed(1)} to ${high.toFixed(1)} °C in the last ${Math.round(lastS)} s`;
  return (
    <div className="max-w-md">
      <Chart
        label={words}
        draw={draw}
        heightPx={HIGH_PX}
        twin={{
          headings: ['When', '°C'],
          rows: trail
            .filter((_, i) => (trail.length - 1 - i) % EVERY === 0)
            .map(([at, celsius]) => [CLOCK.format(at), celsius.toFixed(1)]),
        }}
      />
      <p className="text-note text-soft-ink">{words}</p>
    </div>
  );
}

const CLOCK = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit', second: '2-digit' });

function drawTrail(trail: LiveState['trail'], { ink, hairline }: Parameters<DrawChart>[0]): ReturnType<DrawChart> {
  const text = axisText(ink);
  return {
    grid: { left: 8, right: 16, top: 12, bottom: 4, containLabel: true },
    xAxis: {
      type: 'time',
      axisLabel: { ...text, hideOverlap: true, formatter: (at: number) => CLOCK.format(at) },
      axisLine: { lineStyle: { color: ink } },
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value',
      // Less than a degree is noise, and is to look like it.
      min: ({ min, max }: { min: number; max: number }) => Math.floor(Math.min(min, (min + max) / 2 - 1)),
      max: ({ min, max }: { min: number; max: number }) => Math.ceil(Math.max(max, (min + max) / 2 + 1)),
      axisLabel: { ...text, formatter: '{value} °C' },
      splitLine: { lineStyle: { color: hairline } },
    },
    series: [
      {
        type: 'line',
        silent: true,
        showSymbol: false,
        lineStyle: { color: ink, width: 2 },
        data: trail.map(([at, celsius]) => [at, celsius]),
      },
    ],
  };
}

function Dial({ instrument, setC }: { readonly instrument: Instrument; readonly setC: number | null }) {
  const [turn, { error }] = useTurnDialMutation();
  const [draft, setDraft] = useState('60');
  return (
    <div className="flex flex-wrap items-end gap-3">
      <label>
        <span className="block text-note">Dial, °C</span>
        <input
          style={{ width: '6rem' }}
          inputMode="numeric"
          value={draft}
          onChange={(event) => setDraft(event.target.value)}
        />
      </label>
      <button
        type="button"
        className="plain-button"
        onClick={() => void turn({ id: instrument.id, setC: Number(draft) })}
      >
        Switch it on
      </button>
      <button
        type="button"
        className="plain-button"
        disabled={setC === null}
        onClick={() => void turn({ id: instrument.id, setC: null })}
      >
        Switch it off
      </button>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </div>
  );
}
