import { SETTLED_BY, type Identification, type IdentifyCatalogue, type SettledBy } from '@sardonyx/core';
import { useState } from 'react';
import { Field } from '../../../../shared/ui/Field.tsx';
import { Select } from '../../../../shared/ui/Select.tsx';
import type { AppError } from '../../../../shared/api/appError.ts';
import { changeRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { useJob } from '../../JobContext.tsx';

interface SettledProps {
  readonly identification: Identification;
  readonly catalogue: IdentifyCatalogue;
}

/** Somebody knows the issue for sure: then what was read of it teaches the bench how often readings are wrong. */
export function Settled({ identification: { ranked }, catalogue }: SettledProps) {
  const { specimen, isClosed } = useJob();
  const dispatch = useAppDispatch();
  const row = specimen.specimen;
  const [variantId, setVariantId] = useState(row.settledVariantId ?? ranked[0]?.variantId ?? '');
  const [error, setError] = useState<AppError | null>(null);
  if (!specimen.casting || ranked.length === 0) return null;
  const nameOf = (id: string | null) =>
    catalogue.variants.find((variant) => variant.id === id)?.name ?? 'another issue';
  const settle = async (by: SettledBy | null, id: string) => {
    const changes = { settledBy: by, settledVariantId: by ? id : null };
    const label = by ? `settled: ${nameOf(id)}, ${by}` : 'not settled';
    setError(await dispatch(changeRow({ kind: 'specimens', row, changes, label, isShownInPlace: true })).unwrap());
  };
  return (
    <section aria-label="Is it settled?" className="space-y-2">
      <h2>{row.settledBy ? `Settled: ${nameOf(row.settledVariantId)}, ${row.settledBy}` : 'Is it settled?'}</h2>
      <p className="text-note text-soft-ink">
        Where you came to know the issue for sure, say so: the bench then learns from what was read of it how often
        models are altered and readings are wrong. What it learned stands in House style.
      </p>
      <div className="grid gap-3 sm:grid-cols-2">
        <Field label="It is">
          <Select
            disabled={isClosed}
            value={variantId}
            options={catalogue.variants.map((variant) => ({ value: variant.id, label: variant.name }))}
            onChange={(value) => {
              setVariantId(value);
              if (row.settledBy) void settle(row.settledBy, value);
            }}
          />
        </Field>
        <Field label="Known because it was">
          <Select
            disabled={isClosed}
            value={row.settledBy}
            options={[
              { value: null, label: 'not settled' },
              // That it was found on this very model is said where it is written down.
              ...SETTLED_BY.filter((by) => by !== 'found on this model' || by === row.settledBy),
            ]}
            onChange={(value) => void settle(value, variantId)}
          />
        </Field>
      </div>
      {error && <ErrorNote error={error} />}
    </section>
  );
}
