import type { WorkshopView } from '@sardonyx/contract';
import { computeMostLiquor, judgeBath } from '@sardonyx/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Sign } from '../../shared/ui/Sign.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import type { AppError } from '../../shared/api/appError.ts';
import { changeRow } from '../../shared/edits/editRow.ts';
import { capitalise, formatClock } from '../../shared/format.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { HeldButton } from '../../shared/ui/HeldButton.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { useTimers } from '../clocks/index.ts';
import { MakeBath } from './MakeBath.tsx';
import { TopUp } from './TopUp.tsx';

/** The baths that stand: how good each still is, what is in it with its clock, and how to make one up. */
export function BathShelf({ workshop }: { readonly workshop: WorkshopView }) {
  const { baths, vessels } = workshop;
  return (
    <section aria-label="Baths" className="space-y-3">
      <h2>
        {baths.length === 0
          ? 'No bath stands'
          : `${baths.length} ${baths.length === 1 ? 'bath stands' : 'baths stand'}`}
      </h2>
      {baths.map((bath) => (
        <OneBath key={bath.id} bath={bath} workshop={workshop} />
      ))}
      <MakeBath vessels={vessels.filter((one) => baths.every((bath) => bath.vesselId !== one.id))} now={workshop.now} />
    </section>
  );
}

interface OneBathProps {
  readonly bath: WorkshopView['baths'][number];
  readonly workshop: WorkshopView;
}

function OneBath({ bath, workshop }: OneBathProps) {
  const dispatch = useAppDispatch();
  const [error, setError] = useState<AppError | null>(null);
  const { nowMs } = useTimers();
  const vessel = workshop.vessels.find((one) => one.id === bath.vesselId);
  const inIt = workshop.soaking.filter((pass) => pass.bathId === bath.id);
  const state =
    bath.kind === 'caustic' ? judgeBath({ ...bath, grams: bath.litres * bath.gramsPerLitre }, new Date(nowMs)) : null;
  const pour = async () =>
    setError(
      await dispatch(
        changeRow({
          kind: 'baths',
          row: bath,
          changes: { endedAt: new Date(nowMs).toISOString() },
          label: `${bath.kind} bath poured away`,
          isShownInPlace: true,
        }),
      ).unwrap(),
    );
  return (
    <div className="space-y-2 border-t border-strong-line pt-3">
      <h3>
        {capitalise(bath.kind)} in the {vessel?.name.toLowerCase()}: {bath.litres} l
        {bath.gramsPerLitre > 0 && `, ${bath.gramsPerLitre} g per litre`}
      </h3>
      {state && (
        <p>
          <Sign of={state.spentBecause ? 'warning' : 'done'} />
          {state.spentBecause
            ? `Make it anew: ${state.spentBecause}.`
            : `Good: ${state.ageDays < 1 ? 'made today' : `${Math.floor(state.ageDays)} days old`}, ${Math.round(state.leftShare * 100)} % left (planning estimate).`}
        </p>
      )}
      {inIt.length === 0 ? (
        <p className="text-soft-ink">Nothing is in it.</p>
      ) : (
        <ul aria-label="In the bath">
          {inIt.map((pass) => {
            const left = pass.endsAt ? (Date.parse(pass.endsAt) - nowMs) / 1000 : 0;
            return (
              <li key={pass.id} className="flex flex-wrap items-baseline gap-x-3 border-t border-hairline py-1">
                <Link className="underline underline-offset-4" to={`/jobs/${pass.jobId}/strip`}>
                  {pass.jobNumber} {pass.partName.toLowerCase()}
                </Link>
                <strong className="figure">
                  {left <= 0 && <Sign of="warning" />}
                  {left > 0 ? formatClock(left) : 'look now'}
                </strong>
                <span className="text-note text-soft-ink">until it is looked at again</span>
              </li>
            );
          })}
        </ul>
      )}
      {vessel && <TopUp key={bath.version} bath={bath} mostLitres={computeMostLiquor(vessel)} />}
      {inIt.length === 0 && (
        <Fold title="Pour it away">
          <HeldButton onHeld={() => void pour()}>
            It is poured into the waste tin
            <span className="block text-note">Old liquor goes to the hazardous-waste depot, never down the sink</span>
          </HeldButton>
        </Fold>
      )}
      {error && <ErrorNote error={error} onClose={() => setError(null)} />}
    </div>
  );
}
