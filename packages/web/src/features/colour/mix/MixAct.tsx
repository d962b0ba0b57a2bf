import type { MixView } from '@sardonyx/contract';
import { listPatchPath, type MixState, type RoundAdvice } from '@sardonyx/core';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { formatDay } from '../../../shared/dates/sayDates.ts';
import { Fold } from '../../../shared/ui/Fold.tsx';
import { Field } from '../../../shared/ui/Field.tsx';
import { Select } from '../../../shared/ui/Select.tsx';
import { HazardCard } from '../../../shared/hazard/HazardCard.tsx';
import { EmptyNote } from '../../../shared/ui/Notice.tsx';
import { findProduct, useColourBench, type ColourBench } from '../ColourContext.tsx';
import { Halves } from '../Halves.tsx';
import { MeetingSwatches } from '../swatch/MeetingSwatches.tsx';
import { PathChart } from '../swatch/PathChart.tsx';
import { useColourWorker } from '../worker/useColourWorker.ts';
import { AnotherPot } from './AnotherPot.tsx';
import { GiveUpMix } from './GiveUpMix.tsx';
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
        <Field label="Mix" isQuiet>
          <Select
            value={mix.id}
            options={mixes.map((one) => ({
              value: one.id,
              label: `${one.name}, ${formatDay(one.startedAt)}${one.endedAt ? (one.productId ? ' (kept)' : ' (given up)') : ''}`,
            }))}
            onChange={(value) => setParams({ mix: value }, { replace: true })}
          />
        </Field>
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
  const [judging, setJudging] = useState<'dry' | 'wet' | null>(null);
  const [lookingAt, setLookingAt] = useState(-1);
  /** A patch that nobody asked for, until the log has a line more. */
  const isLooking = lookingAt === mix.steps.length;
  const path = useMemo(() => [{ title: 'this mix', points: listPatchPath(state, mix.target) }], [state, mix.target]);
  const expected = advice?.labNow ?? null;
  const last = state.patches.at(-1);
  if (judging) return <JudgeByEye mix={mix} what={judging} expected={expected} onDone={() => setJudging(null)} />;
  const isOver = mix.endedAt !== null || bench.isClosed;
  const next = isOver ? null : (advice?.pours.find((pour) => pour.ml - pour.pouredMl >= 0.51 * doseMl) ?? null);
  // A wet patch is waited for; whoever does not want to wait pours by what it should become.
  const isDue =
    (state.isPatchDue && state.wet !== null) ||
    advice?.kind === 'patch' ||
    advice?.kind === 'unsure' ||
    (advice?.kind === 'beyond' && !next);
  // Before the first pour it comes up by itself; afterwards it stays within reach.
  const hazard = !isOver && isSolvent(bench, mix) && <HazardCard hazard="mixing-paint" />;
  return (
    <Halves
      lead={
        <>
          <section aria-label="Where it stands" aria-busy={isStale}>
            <MixVerdict mix={mix} state={state} advice={advice} problem={problem} />
          </section>
          {state.totalMl === 0 && hazard}
          {!isOver && advice && (isDue || isLooking) && (
            <PatchPanel key={`patch ${mix.steps.length}`} mix={mix} state={state} onJudge={setJudging} />
          )}
          {!isOver && advice && (advice.kind === 'pour' || advice.kind === 'beyond') && next && (
            <PourPanel key={mix.steps.length} mix={mix} pour={next} doseMl={doseMl} isStale={isStale} />
          )}
          {!isOver && advice && !isDue && !isLooking && state.totalMl > 0 && (
            <button type="button" className="quiet-button" onClick={() => setLookingAt(mix.steps.length)}>
              Judge or measure it now
            </button>
          )}
        </>
      }
      look={
        <>
          <MeetingSwatches
            target={mix.target}
            mix={expected}
            mixWord={
              advice?.read ? (state.isPatchDue ? 'as it should dry' : 'as its patch reads') : 'as it should look now'
            }
            className="h-44"
          />
          <PotRow
            pots={listPots(mix, state, isOver ? null : advice, next?.productId ?? null)}
            geometry={mix.geometry}
          />
        </>
      }
    >
      {!isOver && advice?.read && <Paths paths={advice.paths} />}
      {!isOver && advice && last && !state.isPatchDue && <KeepMixForm mix={mix} isGood={advice.kind === 'stop'} />}
      {!isOver && advice && (
        <Fold title="Pour from another pot">
          <AnotherPot key={mix.steps.length} mix={mix} state={state} isStale={isStale} />
        </Fold>
      )}
      {!isOver && advice && <GiveUpMix mixId={mix.id} />}
      {state.totalMl > 0 && hazard && <Fold title="What can hurt while mixing">{hazard}</Fold>}
      <LightLadder target={mix.target} patches={state.patches} />
      {path[0]!.points.length > 1 && (
        <section aria-label="How near it came">
          <h3>How near each patch came</h3>
          <PathChart paths={path} tolerance={mix.tolerance} />
        </section>
      )}
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
