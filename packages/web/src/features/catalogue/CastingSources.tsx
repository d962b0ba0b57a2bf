import type { CastingView } from '@sardonyx/contract';
import { CreateSource } from '@sardonyx/contract';
import { SOURCE_CERTAINTIES, type Source } from '@sardonyx/core';
import { deleteRow } from '../../shared/edits/editRow.ts';
import { Field } from '../../shared/form/Field.tsx';
import { useRowForm } from '../../shared/form/useRowForm.ts';
import { useAppDispatch } from '../../shared/store.ts';

const KEEP = ['castingId', 'variantId', 'specimenId', 'statement', 'fromYear', 'toYear', 'origin', 'certainty'];

/** What was said of its dates, contradictory statements side by side. About an issue they count as soft evidence. */
export function CastingSources({ view, isEditing }: { readonly view: CastingView; readonly isEditing: boolean }) {
  const dispatch = useAppDispatch();
  const { sources, variants } = view;
  if (sources.length === 0 && !isEditing) return null;
  const about = (source: Source) => variants.find((variant) => variant.id === source.variantId)?.name;
  return (
    <section>
      <h2>What was said of its dates</h2>
      <ul>
        {sources.map((source) => (
          <li key={source.id} className="flex items-center gap-3 border-t border-hairline py-1">
            <span className="min-w-0 grow">
              {about(source) && <strong>{about(source)}: </strong>}
              {source.statement} {describeYears(source)}: {source.origin}{' '}
              <span className="text-soft-ink">({source.certainty})</span>
            </span>
            {isEditing && (
              <button
                type="button"
                className="quiet-button"
                onClick={() =>
                  void dispatch(deleteRow({ kind: 'sources', row: source, keep: KEEP, label: source.statement }))
                }
              >
                Remove
              </button>
            )}
          </li>
        ))}
      </ul>
      {isEditing && <AddSource view={view} />}
    </section>
  );
}

function describeYears({ fromYear, toYear }: Source): string {
  if (fromYear === null && toYear === null) return '';
  if (fromYear === toYear) return `(${fromYear})`;
  return `(${fromYear ?? '…'} to ${toYear ?? '…'})`;
}

const asYear = { setValueAs: (text: unknown) => (text === '' || text === null ? null : Number(text)) };

function AddSource({ view }: { readonly view: CastingView }) {
  const { register, errors, save } = useRowForm({
    kind: 'sources',
    type: CreateSource,
    start: {
      ...{ castingId: view.casting.id, variantId: null, specimenId: null, statement: '', origin: '' },
      ...{ fromYear: null, toYear: null, certainty: 'likely' as const },
    },
    labelOf: (values) => values.statement,
  });
  return (
    <form className="mt-2 grid items-start gap-3 sm:grid-cols-3" noValidate onSubmit={(event) => void save(event)}>
      <Field label="About" error={errors.variantId?.message}>
        <select {...register('variantId', { setValueAs: (id: string | null) => id || null })}>
          <option value="">the casting as a whole</option>
          {view.variants.map((variant) => (
            <option key={variant.id} value={variant.id}>
              {variant.name}
            </option>
          ))}
        </select>
      </Field>
      <Field label="What it says" error={errors.statement?.message ?? errors.root?.message}>
        <input {...register('statement')} />
      </Field>
      <Field label="Who says so, and where" error={errors.origin?.message}>
        <input {...register('origin')} />
      </Field>
      <Field label="From year" error={errors.fromYear?.message}>
        <input inputMode="decimal" {...register('fromYear', asYear)} />
      </Field>
      <Field label="To year" error={errors.toYear?.message}>
        <input inputMode="decimal" {...register('toYear', asYear)} />
      </Field>
      <Field label="How certain" error={errors.certainty?.message}>
        <select {...register('certainty')}>
          {SOURCE_CERTAINTIES.map((certainty) => (
            <option key={certainty}>{certainty}</option>
          ))}
        </select>
      </Field>
      <button type="submit" className="plain-button justify-self-start">
        Add the statement
      </button>
    </form>
  );
}
