import type { MixView } from '@sardonyx/contract';
import type { PlannedPour } from '@sardonyx/core';
import { useEffect, useState } from 'react';
import { Sign } from '../../../shared/ui/Sign.tsx';
import { Fold } from '../../../shared/ui/Fold.tsx';
import {
  useGetWorkshopQuery,
  useLogMixStepMutation,
  usePourOnScalesMutation,
  useTareScalesMutation,
} from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { useWho } from '../../../shared/ui/useWho.ts';
import { findProduct, useColourBench } from '../ColourContext.tsx';
import { formatGrams, formatMl } from '../../../shared/colour/formatColour.ts';
import { useScales } from './useScales.ts';

interface PourPanelProps {
  readonly mix: MixView;
  readonly pour: PlannedPour;
  readonly doseMl: number;
  readonly isStale: boolean;
}

/** One pour from one pot: how much, what the scales show, and the press that logs it. A strong paint comes in two goes. */
export function PourPanel({ mix, pour, doseMl, isStale }: PourPanelProps) {
  const { shelf } = useColourBench();
  const [who] = useWho();
  const [log, { error }] = useLogMixStepMutation();
  const product = findProduct(shelf, pour.productId);
  const density = product?.densityGPerMl ?? 1;
  const restMl = pour.ml - pour.pouredMl;
  const isFirstGo = pour.cautiousMl !== null && pour.pouredMl < pour.cautiousMl - doseMl / 2;
  const wantedMl = isFirstGo ? pour.cautiousMl! - pour.pouredMl : restMl;
  const name = product?.name ?? 'this pot';
  // Sent once: until the log has grown the same press would pour it twice.
  const [isSent, setSent] = useState(false);
  const isBusy = !useSettled() || isSent || isStale;
  const logMl = async (ml: number, source: 'scales' | 'counted' | 'typed') => {
    setSent(true);
    const { data } = await log({ mixId: mix.id, path: 'pours', body: { productId: pour.productId, ml, source, who } });
    if (!data) setSent(false);
  };
  return (
    <section aria-label={`Pour ${name}`} aria-busy={isBusy} className="space-y-3 border-2 border-ink p-4">
      <p className="text-act font-semibold">
        {mix.dosing === 'scales'
          ? `${formatGrams(wantedMl * density)} of ${name}`
          : `${Math.round(wantedMl / doseMl)} drops of ${name}`}{' '}
        <span className="text-body font-normal text-soft-ink">{formatMl(wantedMl)}</span>
      </p>
      {isFirstGo && (
        <p>
          <Sign of="warning" />
          <strong>Strong paint.</strong> This is the first part of {formatMl(pour.ml)}; stir and look before the rest.
          What is in cannot come out again.
        </p>
      )}
      {pour.isShort && (
        <p>
          <Sign of="warning" />
          The pot holds less than that: pour what there is and log it; the next round counts with it.
        </p>
      )}
      {mix.dosing === 'scales' ? (
        <OnScales
          key={`${pour.productId} ${pour.pouredMl}`}
          wantedG={wantedMl * density}
          isLogging={isBusy}
          onLog={(grams) => void logMl(grams / density, 'scales')}
        />
      ) : (
        <Counted
          key={`${pour.productId} ${pour.pouredMl}`}
          planned={Math.max(1, Math.round(wantedMl / doseMl))}
          isLogging={isBusy}
          onLog={(drops) => void logMl(drops * doseMl, 'counted')}
        />
      )}
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </section>
  );
}

const SETTLE_MS = 500;

/** A second tap that was meant for the pot before must not log this one. */
function useSettled(): boolean {
  const [isSettled, setSettled] = useState(false);
  useEffect(() => {
    const waiting = setTimeout(() => setSettled(true), SETTLE_MS);
    return () => clearTimeout(waiting);
  }, []);
  return isSettled;
}

interface OnScalesProps {
  readonly wantedG: number;
  readonly isLogging: boolean;
  readonly onLog: (grams: number) => void;
}

/** The cup on the scales: a bar that fills towards what is wanted, the figure, and what to log. */
function OnScales({ wantedG, isLogging, onLog }: OnScalesProps) {
  const { data } = useGetWorkshopQuery();
  const scales = data?.instruments.find((one) => one.kind === 'scales') ?? null;
  const { grams, isSteady, fault } = useScales(scales?.id ?? null);
  const [tare] = useTareScalesMutation();
  const [pour, { error }] = usePourOnScalesMutation();
  const [typed, setTyped] = useState('');
  const [isTared, setTared] = useState(false);
  const isSimulated = scales?.source === 'simulated';
  const scalesId = scales?.id ?? null;
  // Each pour begins at nothing.
  useEffect(() => {
    if (!scalesId) return;
    if (isSimulated) void tare(scalesId).then(() => setTared(true));
    else setTared(true);
  }, [scalesId, isSimulated, tare]);
  const shown = isTared ? (grams ?? 0) : 0;
  const share = Math.min(1.15, shown / wantedG);
  const number = Number(typed.replace(',', '.'));
  return (
    <div className="space-y-3">
      {scales && (
        <>
          <div className="flex flex-wrap items-baseline gap-4">
            <strong className="figure text-verdict" role="status" aria-label="On the scales">
              {formatGrams(shown)}
            </strong>
            <span>of {formatGrams(wantedG)}</span>
            <span className="text-note text-soft-ink">
              {scales.name}
              {isSimulated && ' (simulated)'}
              {isSteady ? ', steady' : ', moving'}
            </span>
          </div>
          <div aria-hidden className="relative h-5 w-full max-w-md border border-ink">
            <span className="absolute inset-y-0 left-0 bg-ink" style={{ width: `${(100 * share) / 1.15}%` }} />
            <span className="absolute inset-y-[-5px] w-0.5 bg-soft-ink" style={{ left: `${100 / 1.15}%` }} />
          </div>
          {fault && (
            <p role="alert">
              <Sign of="warning" />
              {fault}
            </p>
          )}
          <div className="flex flex-wrap gap-3">
            {isSimulated && (
              <button
                type="button"
                className="plain-button min-h-16!"
                disabled={isLogging || shown >= wantedG - 0.005}
                onClick={() => void pour({ id: scales.id, grams: wantedG - shown })}
              >
                Pour (simulated hand)
              </button>
            )}
            <button
              type="button"
              className="main-button min-h-16!"
              disabled={isLogging || shown < 0.005 || !isSteady}
              onClick={() => onLog(Math.round(shown * 100) / 100)}
            >
              Log {formatGrams(shown)}
            </button>
          </div>
          {error !== undefined && <ErrorNote error={readAppError(error)} />}
        </>
      )}
      <Fold isOpen={!scales} title="Weighed elsewhere">
        <div className="flex flex-wrap items-end gap-3">
          <label>
            <span className="block text-note">Grams</span>
            <input
              style={{ width: '6rem' }}
              inputMode="decimal"
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
            />
          </label>
          <button
            type="button"
            className="plain-button"
            disabled={isLogging || !(number > 0)}
            onClick={() => (onLog(number), setTyped(''))}
          >
            Log it
          </button>
        </div>
      </Fold>
    </div>
  );
}

interface CountedProps {
  readonly planned: number;
  readonly isLogging: boolean;
  readonly onLog: (drops: number) => void;
}

/** Drops counted by hand, one press more or less. */
function Counted({ planned, isLogging, onLog }: CountedProps) {
  const [drops, setDrops] = useState(planned);
  return (
    <div className="flex flex-wrap items-center gap-3">
      <button
        type="button"
        className="plain-button min-h-16! min-w-16"
        aria-label="One drop less"
        disabled={drops <= 1}
        onClick={() => setDrops(drops - 1)}
      >
        −
      </button>
      <strong className="figure min-w-16 text-center text-verdict" role="status">
        {drops}
      </strong>
      <button
        type="button"
        className="plain-button min-h-16! min-w-16"
        aria-label="One drop more"
        onClick={() => setDrops(drops + 1)}
      >
        +
      </button>
      <button type="button" className="main-button min-h-16!" disabled={isLogging} onClick={() => onLog(drops)}>
        {drops === 1 ? 'Log 1 drop' : `Log ${drops} drops`}
      </button>
    </div>
  );
}
