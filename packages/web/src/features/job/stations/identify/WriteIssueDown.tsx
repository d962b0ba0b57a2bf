import type { Identification, IdentifyCatalogue } from '@sardonyx/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useWriteIssueDownMutation } from '../../../../shared/api/api.ts';
import { readAppError } from '../../../../shared/api/appError.ts';
import { Field } from '../../../../shared/ui/Field.tsx';
import { Fold } from '../../../../shared/ui/Fold.tsx';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { Select } from '../../../../shared/ui/Select.tsx';
import { useWho } from '../../../../shared/ui/useWho.ts';
import { useJob } from '../../JobContext.tsx';

interface WriteIssueDownProps {
  readonly identification: Identification;
  readonly catalogue: IdentifyCatalogue;
}

/** The model fits no listed issue: what is seen on it becomes one, or is added to one that was listed without it. */
export function WriteIssueDown({ identification, catalogue }: WriteIssueDownProps) {
  const { specimen, isClosed } = useJob();
  const [who] = useWho();
  const [write, { error, isLoading, data: written }] = useWriteIssueDownMutation();
  const [name, setName] = useState('');
  const [ofId, setOfId] = useState<string | null>(null);
  if (!specimen.casting || isClosed) return null;
  const { states, leftOut } = identification.issue;
  const labelOf = (id: string) => catalogue.features.find((feature) => feature.id === id)?.label ?? '';
  const seen = states.map(({ featureId, stateId }) => {
    const feature = catalogue.features.find((one) => one.id === featureId);
    return `${labelOf(featureId)}: ${feature?.states.find((state) => state.id === stateId)?.label ?? ''}`;
  });
  const save = () =>
    void write({
      ...{ specimenId: specimen.specimen.id, who },
      ...(ofId ? { name: null, variantId: ofId } : { name: name.trim() || null, variantId: null }),
    });
  const problem = error === undefined ? null : readAppError(error);
  return (
    <Fold title="It is none of these: write it down">
      <div className="space-y-3 py-2">
        {seen.length === 0 ? (
          <p>Look at it first: so far nothing was read of it that speaks of its issue.</p>
        ) : (
          <>
            <p>
              {seen.join('; ')}.
              {leftOut.length > 0 && (
                <span className="text-soft-ink">
                  {' '}
                  Left out, as altered or unsure:{' '}
                  {[...new Set(leftOut)].map((id) => labelOf(id).toLowerCase()).join(', ')}.
                </span>
              )}
            </p>
            <Field label="It is">
              <Select
                value={ofId}
                options={[
                  { value: null, label: 'an issue that is not listed' },
                  ...catalogue.variants.map((one) => ({ value: one.id, label: `${one.name}, which exists so, too` })),
                ]}
                onChange={setOfId}
              />
            </Field>
            {!ofId && (
              <Field label="Call it" error={problem?.fields?.name} hint="Its years are those that the date allows.">
                <input value={name} onChange={(event) => setName(event.target.value)} />
              </Field>
            )}
            <button
              type="button"
              className="plain-button"
              disabled={isLoading || (!ofId && name.trim() === '')}
              onClick={save}
            >
              Write it down, with this model as its source
            </button>
          </>
        )}
        {problem && !problem.fields?.name && <ErrorNote error={problem} />}
        {written && (
          <p role="status">
            {written.name} is written down.{' '}
            <Link className="underline underline-offset-4" to={`/catalogue/${written.castingId}`}>
              Its years and rarity
            </Link>
          </p>
        )}
      </div>
    </Fold>
  );
}
