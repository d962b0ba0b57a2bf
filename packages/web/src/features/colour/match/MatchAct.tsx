import type { ShelfView } from '@sardonyx/contract';
import {
  DOSINGS,
  estimateGloss,
  mayBeMixed,
  type Dosing,
  type MixWay,
  type Proposal,
  type ProposalKind,
} from '@sardonyx/core';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useStartMixMutation } from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { EmptyNote, ErrorNote } from '../../../shared/ui/Notice.tsx';
import { findProduct, nameOfProduct, useColourBench } from '../ColourContext.tsx';
import { formatLabSpread, formatMl } from '../swatch/formatColour.ts';
import { Halves } from '../Halves.tsx';
import { MeetingSwatches } from '../swatch/MeetingSwatches.tsx';
import { useColourWorker } from '../worker/useColourWorker.ts';
import { DropLine } from './DropLine.tsx';
import { NearestPots } from './NearestPots.tsx';
import { OverPrimers } from './OverPrimers.tsx';
import { ProposalList } from './ProposalList.tsx';
import { usePots } from './usePots.ts';
import { useProposals } from './useProposals.ts';
import { useTarget, type WantedColour } from './useTarget.ts';

const SCALES_ML = 0.01;
const WEIGHT_A = 0.3;
const TOLERANCE = 1;

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
  const [needMl, setNeedMl] = useState('2');
  const [dosing, setDosing] = useState<Dosing>('scales');
  const [mostPaints, setMostPaints] = useState(4);
  const [kind, setKind] = useState<ProposalKind>('best');
  const [light, setLight] = useState<'D65' | 'A'>('D65');
  const need = Number(needMl.replace(',', '.'));
  const [drop, setDrop] = useState(() => String(usualDropMl(shelf)));
  const doseMl = dosing === 'scales' ? SCALES_ML : Number(drop.replace(',', '.'));
  const isRight = need >= 0.2 && need <= 200 && doseMl >= 0.005 && doseMl <= 0.2;
  const wish = useMemo(
    () =>
      isRight
        ? {
            target: { d65: target.lab, a: target.labA, weightA: WEIGHT_A },
            ...{ totalDoses: Math.round(need / doseMl), doseMl, mostPaints },
          }
        : null,
    [target, need, doseMl, mostPaints, isRight],
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
            onEnd={end}
            proposals={proposals}
            chosen={chosen}
            problem={problem}
            dosing={dosing}
          />
          {chosen && <DropLine lines={chosen.lines} geometry={target.geometry} />}
        </>
      }
      look={
        <>
          <MeetingSwatches target={wanted} mix={mixed ?? null} />
          <fieldset className="flex flex-wrap gap-x-5">
            <legend className="sr-only">Light</legend>
            {(['D65', 'A'] as const).map((one) => (
              <label key={one} className="inline-flex min-h-9 items-center gap-2">
                <input type="radio" name="light" checked={light === one} onChange={() => setLight(one)} />
                {one === 'D65' ? 'by daylight (D65)' : 'by a filament lamp (A)'}
              </label>
            ))}
          </fieldset>
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
            aria-invalid={!isRight}
            onChange={(event) => setNeedMl(event.target.value)}
          />
        </label>
        <label>
          <span className="block text-note">Dosed by</span>
          <select
            style={{ width: '12rem' }}
            value={dosing}
            onChange={(event) => setDosing(event.target.value as Dosing)}
          >
            {DOSINGS.map((one) => (
              <option key={one} value={one}>
                {one === 'scales' ? 'scales, 0.01 g' : 'drops'}
              </option>
            ))}
          </select>
        </label>
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
        <label>
          <span className="block text-note">At most</span>
          <select
            style={{ width: '8rem' }}
            value={mostPaints}
            onChange={(event) => setMostPaints(Number(event.target.value))}
          >
            {[1, 2, 3, 4, 5].map((one) => (
              <option key={one} value={one}>
                {one} {one === 1 ? 'paint' : 'paints'}
              </option>
            ))}
          </select>
        </label>
      </div>
      {!isRight && <p role="alert">▲ How much is needed: 0.2 to 200 ml; a drop: 0.005 to 0.2 ml.</p>}
      {proposals && chosen && <ProposalList proposals={proposals} chosen={chosen} onChoose={setKind} />}
      {chosen && !isClosed && (
        <BeginMixing target={target} chosen={chosen} needMl={need} dosing={dosing} doseMl={doseMl} />
      )}
      <NearestPots target={target.lab} geometry={target.geometry} />
    </Halves>
  );
}

/** The drop that most of the pots give (planning estimate where nobody weighed). */
function usualDropMl(shelf: ShelfView): number {
  const drops = shelf.products.filter(mayBeMixed).map((product) => product.dropMl);
  return drops.sort((a, b) => a - b)[Math.floor(drops.length / 2)] ?? 0.05;
}

interface AnswerProps {
  readonly progress: number | null;
  readonly onEnd: () => void;
  readonly proposals: readonly Proposal[] | null;
  readonly chosen: Proposal | null;
  readonly problem: string | null;
  readonly dosing: Dosing;
}

/** The sentence first: what to mix and how near it comes; or how far the solver is. */
function Answer({ progress, onEnd, proposals, chosen, problem, dosing }: AnswerProps) {
  const { shelf } = useColourBench();
  if (problem)
    return (
      <p role="status">▲ {problem === 'Ended.' ? 'You ended the search. Change a wish to begin it again.' : problem}</p>
    );
  if (!proposals)
    return (
      <div role="status" className="flex flex-wrap items-center gap-4">
        <p className="text-act font-semibold">
          {progress !== null
            ? `Working through all mixes of your pots: ${Math.round(100 * progress)} %`
            : 'Looking for recipes ...'}
        </p>
        <button type="button" className="plain-button" onClick={onEnd}>
          End it
        </button>
      </div>
    );
  if (!chosen)
    return <p className="text-act font-semibold">No recipe: no pots of one binder hold as much as is needed.</p>;
  const parts = chosen.lines.map(({ productId, ml, doses }) => {
    const product = findProduct(shelf, productId);
    const amount =
      dosing === 'drops'
        ? `${doses} ${doses === 1 ? 'drop' : 'drops'}`
        : `${(ml * (product?.densityGPerMl ?? 1)).toFixed(2)} g`;
    return `${amount} ${nameOfProduct(shelf, productId)}`;
  });
  const gloss = estimateGloss(
    chosen.lines.map(({ productId, ml }) => ({ finish: findProduct(shelf, productId)?.gloss ?? 'gloss', ml })),
  );
  return (
    <div aria-live="polite">
      <p className="text-act font-semibold">{parts.join(', ')}.</p>
      <p>
        Should come within {chosen.de65.toFixed(1)} dE00 by daylight, {chosen.deA.toFixed(1)} by lamp; pots that are not
        quite their label may make it ± {chosen.sensitivity.toFixed(1)}, which the first patch will tell. Dries{' '}
        {gloss.word} (about {Math.round(gloss.units)} ± {Math.round(gloss.sd)} gloss units, planning estimate).
      </p>
    </div>
  );
}

/** Which of the captured colours is aimed at. */
function WhichColour({ target }: { readonly target: WantedColour }) {
  const { colour, nameOfPart } = useColourBench();
  const [, setParams] = useSearchParams();
  return (
    <div className="space-y-1">
      <label className="block">
        <span className="text-note">Wanted</span>
        <select
          value={target.capture.id}
          onChange={(event) => setParams({ capture: event.target.value }, { replace: true })}
        >
          {colour.captures.map((one) => (
            <option key={one.id} value={one.id}>
              {nameOfPart(one.specimenPartId)}, {one.place}
              {one.note && `, ${one.note}`} ({one.method})
            </option>
          ))}
        </select>
      </label>
      <p className="text-note text-soft-ink">
        <span className="figure">{formatLabSpread(target.lab, target.capture.sd)}</span>, {target.geometry}
        {!target.capture.spectrum && '; by lamp from the smoothest spectrum of that colour (planning estimate)'}
      </p>
    </div>
  );
}

const WAYS: readonly (readonly [MixWay, string, string])[] = [
  ['light end', 'from the light end', 'a dark can always go in, never come out'],
  ['nearest pot', 'from the nearest pot', 'fewest pours when a pot is close already'],
];

interface BeginMixingProps {
  readonly target: WantedColour;
  readonly chosen: Proposal;
  readonly needMl: number;
  readonly dosing: Dosing;
  readonly doseMl: number;
}

function BeginMixing({ target, chosen, needMl, dosing, doseMl }: BeginMixingProps) {
  const { view, shelf, nameOfPart } = useColourBench();
  const navigate = useNavigate();
  const [start, { error, isLoading }] = useStartMixMutation();
  const school = [...view.decisions, ...view.houseChoices].find((one) => one.school === 'S9')?.option;
  const [way, setWay] = useState<MixWay>(
    school === 'from the nearest shelf colour' || chosen.kind === 'from the nearest pot' ? 'nearest pot' : 'light end',
  );
  const begin = async () => {
    const { data } = await start({
      ...{ jobId: view.job.id, specimenPartId: target.capture.specimenPartId, captureId: target.capture.id },
      name: `${nameOfPart(target.capture.specimenPartId)}, ${target.capture.place} colour`,
      target: [...target.lab],
      targetA: [...target.labA],
      ...{ geometry: target.geometry, needMl, tolerance: TOLERANCE, dosing, doseMl, way },
      recipe: chosen.lines.map(({ productId, ml }) => ({ productId, name: nameOfProduct(shelf, productId), ml })),
    });
    if (data) void navigate(`/jobs/${view.job.id}/colour/mix?mix=${data.id}`);
  };
  return (
    <div className="space-y-2">
      <fieldset className="flex flex-wrap gap-x-6">
        <legend className="text-note">Begin</legend>
        {WAYS.map(([one, word, why]) => (
          <label key={one} className="inline-flex min-h-9 items-center gap-2">
            <input type="radio" name="begin" checked={way === one} onChange={() => setWay(one)} />
            <span>
              {word} <span className="text-note text-soft-ink">{why}</span>
            </span>
          </label>
        ))}
      </fieldset>
      <button type="button" className="main-button" disabled={isLoading} onClick={() => void begin()}>
        Mix {formatMl(needMl)} of it
      </button>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </div>
  );
}
