import {
  adviseCausticBath,
  BATH_KINDS,
  CAUSTIC,
  InvalidInputError,
  refuseLiquor,
  type BathKind,
  type CausticAdvice,
  type VesselRecord,
} from '@sardonyx/core';
import { useState } from 'react';
import { Sign } from '../../shared/ui/Sign.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import type { AppError } from '../../shared/api/appError.ts';
import { createRow } from '../../shared/edits/editRow.ts';
import { HazardCard } from '../../shared/hazard/HazardCard.tsx';
import { useAppDispatch } from '../../shared/store.ts';
import { HeldButton } from '../../shared/ui/HeldButton.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';

const FIELDS = [
  { field: 'litres', word: 'Liquor, litres', isFor: 'all' },
  { field: 'gramsPerLitre', word: 'Grams per litre', isFor: 'caustic' },
  { field: 'waterC', word: 'Cold water, °C', isFor: 'caustic' },
] as const;

type Draft = Readonly<Record<(typeof FIELDS)[number]['field'], string>>;

/** How much for a bath, how hot it gets, and in which order: before anything is poured. Then it stands in its vessel. */
export function MakeBath({ vessels, now }: { readonly vessels: readonly VesselRecord[]; readonly now: string }) {
  const dispatch = useAppDispatch();
  const [draft, setDraft] = useState<Draft>({
    litres: '0.75',
    gramsPerLitre: String(CAUSTIC.usualGramsPerLitre),
    waterC: '15',
  });
  const [kind, setKind] = useState<BathKind>('caustic');
  const [vesselId, setVesselId] = useState<string | null>(null);
  // One that was just written down, or stands free again, is there at once.
  const vessel = vessels.find((one) => one.id === vesselId) ?? vessels[0];
  const overfull = vessel ? refuseLiquor(vessel, Number(draft.litres)) : null;
  const [error, setError] = useState<AppError | null>(null);
  const advice = kind === 'caustic' ? tryAdvice(draft) : null;
  const mayBeMade = advice === null || (typeof advice !== 'string' && advice.refusals.length === 0);
  const make = async () => {
    const numbers = { litres: Number(draft.litres), waterC: Number(draft.waterC) };
    const gramsPerLitre = kind === 'caustic' ? Number(draft.gramsPerLitre) : 0;
    const body = { vesselId: vessel!.id, kind, ...numbers, gramsPerLitre, madeAt: now };
    setError(await dispatch(createRow({ kind: 'baths', body, label: `${kind} bath`, isShownInPlace: true })).unwrap());
  };
  return (
    <Fold title="Make up a bath">
      <div className="space-y-3 py-2">
        <HazardCard
          hazard={kind === 'caustic' ? 'caustic-bath' : kind === 'dip stripper' ? 'gel-stripper' : 'glycol-ether'}
        />
        <div className="flex flex-wrap gap-3">
          <Field label="Kind" isQuiet width="11rem">
            <Select value={kind} options={BATH_KINDS} onChange={setKind} />
          </Field>
          <Field label="Vessel" isQuiet width="13rem">
            <Select
              value={vessel?.id ?? ''}
              options={vessels.map((one) => ({ value: one.id, label: `${one.name} (${one.material})` }))}
              onChange={setVesselId}
            />
          </Field>
          {FIELDS.filter(({ isFor }) => isFor === 'all' || isFor === kind).map(({ field, word }) => (
            <label key={field}>
              <span className="block text-note">{word}</span>
              <input
                style={{ width: '8rem' }}
                inputMode="decimal"
                value={draft[field]}
                onChange={(event) => setDraft({ ...draft, [field]: event.target.value })}
              />
            </label>
          ))}
        </div>
        {!vessel && <p role="status">No vessel is free: write one down, or pour a bath away.</p>}
        {overfull && (
          <p role="status">
            <Sign of="warning" />
            {overfull}
          </p>
        )}
        {advice !== null && <Advice advice={advice} />}
        <HeldButton disabled={!mayBeMade || !vessel || overfull !== null} onHeld={() => void make()}>
          It is made up and stands in the vessel
        </HeldButton>
        {error && <ErrorNote error={error} onClose={() => setError(null)} />}
      </div>
    </Fold>
  );
}

function Advice({ advice }: { readonly advice: CausticAdvice | string }) {
  if (typeof advice === 'string')
    return (
      <p role="alert">
        <Sign of="warning" />
        {advice}
      </p>
    );
  return (
    <>
      <p role="status" className="text-act font-semibold">
        {advice.refusals.length > 0
          ? 'Not so.'
          : `${Math.round(advice.grams)} g of pure sodium hydroxide; it may reach ${Math.round(advice.reachedC)} °C.`}
      </p>
      {[...advice.refusals, ...advice.warnings].map((text) => (
        <p key={text}>
          <Sign of="warning" />
          {text}
        </p>
      ))}
      {advice.refusals.length === 0 && (
        <ol className="list-inside list-decimal">
          {advice.steps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      )}
      <p className="text-note text-soft-ink">
        Temperature from the heat of solution, nothing lost: errs high. Strength and limits are planning estimates.
      </p>
    </>
  );
}

function tryAdvice(draft: Draft): CausticAdvice | string {
  try {
    return adviseCausticBath({
      litres: Number(draft.litres),
      gramsPerLitre: Number(draft.gramsPerLitre),
      waterC: Number(draft.waterC),
    });
  } catch (error) {
    if (error instanceof InvalidInputError) return error.message;
    throw error;
  }
}
