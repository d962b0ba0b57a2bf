import type { Instrument } from '@sardonyx/core';
import { useState } from 'react';
import { Sign } from '../../shared/ui/Sign.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { useTurnDialMutation } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { Autosaved } from '../../shared/form/Autosaved.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { useReading, type LiveState } from './useReading.ts';

/** One instrument: what it reads now, the last minutes as a line, its dial, and where it gets its readings. */
export function InstrumentPanel({ instrument }: { readonly instrument: Instrument }) {
  const isThermometer = instrument.kind !== 'scales' && instrument.kind !== 'spectrophotometer';
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
      {!isThermometer && (
        <p className="text-soft-ink">Reads in the colour lab, where its reading belongs to a mix or a part.</p>
      )}
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

const ANSWERS: Readonly<Record<Instrument['kind'], string>> = {
  'oven probe': '{"celsius": 121.5}',
  'bath thermometer': '{"celsius": 21.5}',
  scales: '{"grams": 1.24}',
  spectrophotometer: '{"spectrum": [31 numbers], "geometry": "gloss left out"}',
};

const WIDE = 320;
const HIGH = 56;

/** The last minutes as a line, with what it went between in figures beside it. */
function Trail({ live: { trail }, name }: { readonly live: LiveState; readonly name: string }) {
  if (trail.length < 3) return null;
  const values = trail.map(([, celsius]) => celsius);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const from = trail[0]![0];
  const lastS = (trail.at(-1)![0] - from) / 1000;
  const points = trail.map(([at, celsius]) => {
    const x = ((at - from) / 1000 / lastS) * WIDE;
    const y = HIGH / 2 - ((celsius - (low + high) / 2) / Math.max(high - low, 1)) * (HIGH - 8);
    return `${x.toFixed(1)},${y.toFixed(1)}`;
  });
  return (
    <figure className="flex flex-wrap items-center gap-3">
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        width={WIDE}
        height={HIGH}
        className="border border-hairline bg-sheet"
        aria-hidden
      >
        <polyline points={points.join(' ')} fill="none" stroke="currentColor" strokeWidth="1.5" />
      </svg>
      <figcaption className="text-note text-soft-ink">
        {name}: {low.toFixed(1)} to {high.toFixed(1)} °C in the last {Math.round(lastS)} s
      </figcaption>
    </figure>
  );
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
