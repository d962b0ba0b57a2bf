import type { MixView } from '@sardonyx/contract';
import { computeDe00, predictDry, selectDrying, type MixState } from '@sardonyx/core';
import { useState } from 'react';
import { Checkbox } from '../../../shared/ui/Checkbox.tsx';
import { useGetWorkshopQuery, useLogMixStepMutation, useMeasureColourMutation } from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { useWho } from '../../../shared/ui/useWho.ts';
import { useColourBench } from '../ColourContext.tsx';
import { Calibrate } from './Calibrate.tsx';

interface PatchPanelProps {
  readonly mix: MixView;
  readonly state: MixState;
  readonly onJudge: (what: 'dry' | 'wet') => void;
}

/** A patch of the mix: read wet if wished, let dry, then measured or judged by eye. */
export function PatchPanel({ mix, state, onJudge }: PatchPanelProps) {
  const [who] = useWho();
  const { data } = useGetWorkshopQuery();
  const instrument = data?.instruments.find((one) => one.kind === 'spectrophotometer');
  const [measure, { error: readError }] = useMeasureColourMutation();
  const [log, { error: logError }] = useLogMixStepMutation();
  const [isDry, setDry] = useState(false);
  const [isBusy, setBusy] = useState(false);
  // Once it is logged the panel begins anew; until then a second press would log the patch twice.
  const read = async (what: 'patch' | 'wet patch') => {
    setBusy(true);
    if (!(await readAndLog(what))) setBusy(false);
  };
  const readAndLog = async (what: 'patch' | 'wet patch') => {
    const body = { what, id: mix.id, place: 'sheltered' } as const;
    const { data: reading } = await measure({ instrumentId: instrument!.id, body });
    if (!reading) return false;
    const lab = [...reading.lab] as [number, number, number];
    const sd = [...reading.sd] as [number, number, number];
    const { data: step } =
      what === 'wet patch'
        ? await log({ mixId: mix.id, path: 'wet', body: { lab, sd, how: 'spectrophotometer', words: null, who } })
        : await log({
            mixId: mix.id,
            path: 'patches',
            body: { lab, sd, how: 'spectrophotometer', words: null, who },
          });
    return step !== undefined;
  };
  return (
    <section aria-label="Patch" className="space-y-3 border-2 border-ink p-4">
      <p className="text-act font-semibold">Stir, paint a patch, let it dry</p>
      <p>On card primed like the part, thick enough to hide it. A thumbnail’s size takes about 0.05 ml.</p>
      {instrument && (
        <>
          <div className="flex flex-wrap items-center gap-3">
            <Calibrate instrument={instrument} />
          </div>
        </>
      )}
      {!state.wet && (
        <div className="flex flex-wrap gap-3">
          {instrument && (
            <button type="button" className="quiet-button" disabled={isBusy} onClick={() => void read('wet patch')}>
              Read it while it is wet too
            </button>
          )}
          <button type="button" className="quiet-button" disabled={isBusy} onClick={() => onJudge('wet')}>
            Judge it wet
          </button>
        </div>
      )}
      <Drying mix={mix} state={state} />
      <Checkbox checked={isDry} onChange={setDry}>
        The patch is dry
      </Checkbox>
      <div className="flex flex-wrap gap-3">
        {instrument && (
          <button
            type="button"
            className="main-button min-h-16!"
            disabled={!isDry || isBusy}
            onClick={() => void read('patch')}
          >
            Measure it{instrument.source === 'simulated' && ' (simulated)'}
          </button>
        )}
        <button
          type="button"
          className={`${instrument ? 'plain-button' : 'main-button'} min-h-16!`}
          disabled={!isDry}
          onClick={() => onJudge('dry')}
        >
          Judge it by eye
        </button>
      </div>
      {readError !== undefined && <ErrorNote error={readAppError(readError)} />}
      {logError !== undefined && <ErrorNote error={readAppError(logError)} />}
    </section>
  );
}

/** What a wet reading is likely to dry to, from what this line of paint did before. */
function Drying({ mix, state }: { readonly mix: MixView; readonly state: MixState }) {
  const { shelf } = useColourBench();
  if (!state.wet) return null;
  const { drying, line } = selectDrying(state, shelf.products, shelf.dried);
  const { lab, sd } = predictDry(state.wet, drying);
  const basis =
    drying.pairs === 0
      ? 'planning estimate by its sheen'
      : `learned from ${drying.pairs} ${drying.pairs === 1 ? 'patch' : 'patches'} of ${line}`;
  return (
    <p>
      Wet it is at L* {state.wet[0].toFixed(1)}; dry expect {lab[0].toFixed(1)} ± {sd[0].toFixed(1)}, about{' '}
      {computeDe00(mix.target, lab).toFixed(1)} dE00 from what is wanted ({basis}). You can pour by that now; dry it
      says more.
    </p>
  );
}
