import type { ShelfView } from '@sardonyx/contract';
import { DOSINGS, findShortage, mayBeMixed, type Dosing, type NeededPaint, type ProposalKind } from '@sardonyx/core';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { Sign } from '../../../shared/ui/Sign.tsx';
import { Radios } from '../../../shared/ui/Radios.tsx';
import { readNumber } from '../../../shared/form/readNumber.ts';
import { Field } from '../../../shared/ui/Field.tsx';
import { Select } from '../../../shared/ui/Select.tsx';
import { EmptyNote } from '../../../shared/ui/Notice.tsx';
import { useColourBench } from '../ColourContext.tsx';
import { Halves } from '../Halves.tsx';
import { MeetingSwatches } from '../swatch/MeetingSwatches.tsx';
import { useColourWorker } from '../worker/useColourWorker.ts';
import { Answer } from './Answer.tsx';
import { BeginMixing } from './BeginMixing.tsx';
import { DropLine } from './DropLine.tsx';
import { NearestPots } from './NearestPots.tsx';
import { OverPrimers } from './OverPrimers.tsx';
import { ProposalList } from './ProposalList.tsx';
import { usePots } from './usePots.ts';
import { useProposals } from './useProposals.ts';
import { useNeededPaint } from './useNeededPaint.ts';
import { WhyNeeded } from './WhyNeeded.tsx';
import { useTarget, type WantedColour } from './useTarget.ts';
import { WhichColour } from './WhichColour.tsx';

const SCALES_ML = 0.01;
const WEIGHT_A = 0.3;
const LIGHTS = [
  { value: 'D65', label: 'by daylight (D65)' },
  { value: 'A', label: 'by a filament lamp (A)' },
] as const;

/** From a captured colour to a recipe in whole doses. */
export function MatchAct() {
  const target = useTarget();
  const { view } = useColourBench();
  if (!target)
    return (
      <EmptyNote title="No colour to match yet.">
        <Link className="underline" to={`/jobs/${view.job.id}/colour/capture`}>
          Capture the old colour first
        </Link>
        : a recipe needs something to aim at.
      </EmptyNote>
    );
  return <Match key={target.capture.id} target={target} />;
}

function Match({ target }: { readonly target: WantedColour }) {
  const { shelf, isClosed } = useColourBench();
  const worker = useColourWorker();
  const pots = usePots(target.geometry);
  const { needed, isUnanswered } = useNeededPaint(target.lab);
  const [typedMl, setNeedMl] = useState<string | null>(null);
  // Empty until that is known: a number that changes by itself is read once and wrongly.
  const needMl = typedMl ?? (needed === undefined ? '' : suggestMl(needed));
  const [dosing, setDosing] = useState<Dosing>('scales');
  const [mostPaints, setMostPaints] = useState(4);
  const [kind, setKind] = useState<ProposalKind>('nearest');
  const [light, setLight] = useState<'D65' | 'A'>('D65');
  const need = readNumber(needMl);
  const [drop, setDrop] = useState(() => String(usualDropMl(shelf)));
  const doseMl = dosing === 'scales' ? SCALES_ML : readNumber(drop);
  // Reckoned once it is known for how much.
  const isKnown = typedMl !== null || needed !== undefined;
  const isRight = need >= 0.2 && need <= 200 && doseMl >= 0.005 && doseMl <= 0.2;
  const wish = useMemo(
    () =>
      isRight && isKnown
        ? {
            target: { d65: target.lab, a: target.labA, weightA: WEIGHT_A },
            ...{ totalDoses: Math.round(need / doseMl), doseMl, mostPaints },
          }
        : null,
    [target, need, doseMl, mostPaints, isRight, isKnown],
  );
  const leftoverIds = shelf.products.filter((product) => product.recipe).map((product) => product.id);
  const { proposals, problem, end } = useProposals(worker, pots, leftoverIds, wish);
  const chosen = proposals?.find((one) => one.kind === kind) ?? proposals?.[0] ?? null;
  const [wanted, mixed] = light === 'D65' ? [target.lab, chosen?.lab] : [target.labA, chosen?.labA];
  return (
    <Halves
      lead={
        <>
          <Answer
            progress={worker.progress}
            onEnd={wish ? end : null}
            proposals={proposals}
            chosen={chosen}
            problem={problem}
            dosing={dosing}
            target={target.lab}
            shortage={findShortage(pots.paints, need, mostPaints)}
          />
          {chosen && <DropLine lines={chosen.lines} geometry={target.geometry} />}
        </>
      }
      look={
        <>
          <MeetingSwatches target={wanted} mix={mixed ?? null} />
          <Radios label="Light" look="unseen" value={light} options={LIGHTS} onChange={setLight} />
          <WhichColour target={target} />
          {chosen && <OverPrimers lines={chosen.lines} geometry={target.geometry} />}
        </>
      }
    >
      <div className="flex flex-wrap items-end gap-4">
        <label>
          <span className="block text-note">Needed, ml</span>
          <input
            style={{ width: '6rem' }}
            inputMode="decimal"
            value={needMl}
            aria-invalid={isKnown && !isRight}
            onChange={(event) => setNeedMl(event.target.value)}
          />
        </label>
        <Field label="Dosed by" isQuiet width="12rem">
          <Select
            value={dosing}
            options={DOSINGS.map((one) => ({ value: one, label: one === 'scales' ? 'scales, 0.01 g' : 'drops' }))}
            onChange={setDosing}
          />
        </Field>
        {dosing === 'drops' && (
          <label>
            <span className="block text-note">One drop, ml</span>
            <input
              style={{ width: '6rem' }}
              inputMode="decimal"
              value={drop}
              onChange={(event) => setDrop(event.target.value)}
            />
          </label>
        )}
        <Field label="At most" isQuiet width="8rem">
          <Select
            value={mostPaints}
            options={[1, 2, 3, 4, 5].map((one) => ({ value: one, label: `${one} ${one === 1 ? 'paint' : 'paints'}` }))}
            onChange={setMostPaints}
          />
        </Field>
      </div>
      {needed !== undefined && <WhyNeeded needed={needed} isUnanswered={isUnanswered} />}
      {isKnown && !isRight && (
        <p role="alert">
          <Sign of="warning" />
          How much is needed: 0.2 to 200 ml; a drop: 0.005 to 0.2 ml.
        </p>
      )}
      {proposals && chosen && <ProposalList proposals={proposals} chosen={chosen} onChoose={setKind} />}
      {chosen && !isClosed && (
        <BeginMixing target={target} chosen={chosen} needMl={need} dosing={dosing} doseMl={doseMl} />
      )}
      <NearestPots target={target.lab} geometry={target.geometry} />
    </Halves>
  );
}

/** Two where nobody knows better. Rounded up: what is short is mixed anew, and never the same. */
const suggestMl = (needed: NeededPaint | null): string =>
  needed && needed.areas.length > 0 ? String(Math.min(200, Math.max(0.2, Math.ceil(needed.upper90 * 10) / 10))) : '2';

/** The drop that most of the pots give (planning estimate where nobody weighed). */
function usualDropMl(shelf: ShelfView): number {
  const drops = shelf.products.filter(mayBeMixed).map((product) => product.dropMl);
  return drops.sort((a, b) => a - b)[Math.floor(drops.length / 2)] ?? 0.05;
}
