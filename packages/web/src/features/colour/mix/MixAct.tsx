import type { MixView } from '@sardonyx/contract';
import { type MixState, type RoundAdvice } from '@sardonyx/core';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { HazardCard } from '../../../shared/hazard/HazardCard.tsx';
import { EmptyNote } from '../../../shared/ui/Notice.tsx';
import { findProduct, useColourBench, type ColourBench } from '../ColourContext.tsx';
import { Halves } from '../Halves.tsx';
import { MeetingSwatches } from '../swatch/MeetingSwatches.tsx';
import { useColourWorker } from '../worker/useColourWorker.ts';
import { JudgeByEye } from './JudgeByEye.tsx';
import { KeepMixForm } from './KeepMixForm.tsx';
import { LightLadder } from './LightLadder.tsx';
import { MixVerdict } from './MixVerdict.tsx';
import { MixLog } from './MixLog.tsx';
import { PatchPanel } from './PatchPanel.tsx';
import { Paths } from './Paths.tsx';
import { PotRow } from './PotRow.tsx';
import { PourPanel } from './PourPanel.tsx';
import { useAdvice } from './useAdvice.ts';

/** The mixing under way, and those that are done. */
export function MixAct() {
  const { colour, view } = useColourBench();
  const [params, setParams] = useSearchParams();
  const { mixes } = colour;
  const mix =
    mixes.find((one) => one.id === params.get('mix')) ?? mixes.findLast((one) => !one.endedAt) ?? mixes.at(-1);
  if (!mix)
    return (
      <EmptyNote title="Nothing is being mixed.">
        <Link className="underline" to={`/jobs/${view.job.id}/colour/match`}>
          Choose a recipe under Match
        </Link>
        ; the first pour comes from there.
      </EmptyNote>
    );
  return (
    <>
      {mixes.length > 1 && (
        <label className="block max-w-sm">
          <span className="text-note">Mix</span>
          <select value={mix.id} onChange={(event) => setParams({ mix: event.target.value }, { replace: true })}>
            {mixes.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}, {one.startedAt.slice(0, 10)}
                {one.endedAt ? (one.productId ? ' (kept)' : ' (given up)') : ''}
              </option>
            ))}
          </select>
        </label>
      )}
      <Mixing key={mix.id} mix={mix} />
    </>
  );
}

function Mixing({ mix }: { readonly mix: MixView }) {
  const bench = useColourBench();
  const worker = useColourWorker();
  const { advice, isStale, problem, state } = useAdvice(worker, mix);
  const { doseMl } = mix;
  const [isJudging, setJudging] = useState(false);
  const expected = advice?.labNow ?? null;
  const last = state.patches.at(-1);
  if (isJudging) return <JudgeByEye mix={mix} expected={expected} onDone={() => setJudging(false)} />;
  const isOver = mix.endedAt !== null || bench.isClosed;
  const next = isOver ? null : (advice?.pours.find((pour) => pour.ml - pour.pouredMl >= 0.51 * doseMl) ?? null);
  const seen = last && !state.isPatchDue ? last.reading.lab : expected;
  // Before the first pour it comes up by itself; afterwards it stays within reach.
  const hazard = !isOver && isSolvent(bench, mix) && <HazardCard hazard="mixing-paint" />;
  return (
    <Halves
      lead={
        <>
          <MixVerdict mix={mix} state={state} advice={advice} problem={problem} />
          {state.totalMl === 0 && hazard}
          {!isOver && advice && (advice.kind === 'pour' || advice.kind === 'beyond') && next && (
            <PourPanel key={mix.steps.length} mix={mix} pour={next} doseMl={doseMl} isStale={isStale} />
          )}
          {!isOver && advice && (advice.kind === 'patch' || (advice.kind === 'beyond' && !next)) && (
            <PatchPanel key={mix.steps.length} mix={mix} state={state} onJudge={() => setJudging(true)} />
          )}
        </>
      }
      look={
        <>
          <MeetingSwatches
            target={mix.target}
            mix={seen}
            mixWord={last && !state.isPatchDue ? 'last patch, dry' : 'as it should look now'}
            className="h-44"
          />
          <PotRow
            pots={listPots(mix, state, isOver ? null : advice, next?.productId ?? null)}
            geometry={mix.geometry}
          />
        </>
      }
    >
      {!isOver && advice && !state.isPatchDue && (
        <>
          <Paths paths={advice.paths} />
          {last && <KeepMixForm mix={mix} isGood={advice.kind === 'stop'} />}
        </>
      )}
      {state.totalMl > 0 && hazard && (
        <details>
          <summary className="quiet-button">What can hurt while mixing</summary>
          {hazard}
        </details>
      )}
      <LightLadder target={mix.target} patches={state.patches} />
      <MixLog mix={mix} state={state} />
    </Halves>
  );
}

/** Enamels and lacquers are thinned with solvents; what is thinned with water needs no card. */
const isSolvent = ({ shelf }: ColourBench, mix: MixView) =>
  mix.recipe.some(({ productId }) => ['enamel', 'lacquer'].includes(findProduct(shelf, productId)?.binder ?? ''));

/** Pots that are in it or are to come in, in the order of pouring. */
function listPots(mix: MixView, state: MixState, advice: RoundAdvice | null, next: string | null) {
  const planned = advice?.pours ?? [];
  const ids = [...new Set([...planned.map((pour) => pour.productId), ...state.productIds])];
  const all = ids.length ? ids : mix.recipe.map((line) => line.productId);
  return all.map((productId) => {
    const inMl = state.volumes[state.productIds.indexOf(productId)] ?? 0;
    const pour = planned.find((one) => one.productId === productId);
    return { productId, inMl, wantedMl: inMl + (pour ? pour.ml - pour.pouredMl : 0), isNext: productId === next };
  });
}
