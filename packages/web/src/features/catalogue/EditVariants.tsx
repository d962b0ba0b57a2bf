import type { CastingView } from '@sardonyx/contract';
import type { Feature, Variant } from '@sardonyx/core';
import { useState } from 'react';
import { Checkbox } from '../../shared/ui/Checkbox.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { useRecordStatesMutation } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { createRow, deleteRow } from '../../shared/edits/editRow.ts';
import { Autosaved } from '../../shared/form/Autosaved.tsx';
import { useAppDispatch } from '../../shared/store.ts';
import { AlertDialog } from '../../shared/ui/AlertDialog.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';

/** Every issue with its years, its rarity and what it is known by. */
export function EditVariants({ view }: { readonly view: CastingView }) {
  const dispatch = useAppDispatch();
  const { casting, variants } = view;
  const add = () => {
    const last = variants.at(-1);
    const from = last ? Math.ceil(last.endLatest) : (view.maker.fromYear ?? 1950);
    const taken = new Set(variants.map((variant) => variant.key));
    let count = variants.length + 1;
    while (taken.has(`v${count}`)) count++;
    const years = { startEarliest: from, startLatest: from, endEarliest: from + 1, endLatest: from + 1 };
    const body = {
      castingId: casting.id,
      key: `v${count}`,
      name: 'New issue',
      ...years,
      rarity: 1,
      rarityEvidence: '',
    };
    void dispatch(createRow({ kind: 'variants', body, label: 'new issue' }));
  };
  return (
    <section aria-label="Edit the issues" className="space-y-4">
      <h2>Issues</h2>
      {variants.map((variant) => (
        <EditVariant key={variant.id} variant={variant} view={view} />
      ))}
      <button type="button" className="plain-button" onClick={add}>
        Add an issue
      </button>
    </section>
  );
}

function EditVariant({ variant, view }: { readonly variant: Variant; readonly view: CastingView }) {
  const dispatch = useAppDispatch();
  return (
    <Fold
      className="border border-hairline bg-sheet p-3"
      title={
        <>
          {variant.name}{' '}
          <span className="font-normal text-soft-ink">
            {Math.floor(variant.startEarliest)} to {Math.floor(variant.endLatest)}, rarity {variant.rarity}
          </span>
        </>
      }
    >
      <div className="mt-2 grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        <Autosaved kind="variants" row={variant} field="name" label="Name" />
        <Autosaved kind="variants" row={variant} field="rarity" label="Rarity, 0 to 10" type="number" />
        <div className="sm:col-span-2">
          <Autosaved kind="variants" row={variant} field="rarityEvidence" label="What the rarity rests on" />
        </div>
        <Autosaved kind="variants" row={variant} field="startEarliest" label="Begins, earliest" type="number" />
        <Autosaved kind="variants" row={variant} field="startLatest" label="Begins, latest" type="number" />
        <Autosaved kind="variants" row={variant} field="endEarliest" label="Ends, earliest" type="number" />
        <Autosaved kind="variants" row={variant} field="endLatest" label="Ends, latest" type="number" />
      </div>
      <h3 className="mt-3 font-semibold">What it is known by</h3>
      <div className="grid gap-x-6 gap-y-2 sm:grid-cols-2 lg:grid-cols-3">
        {view.features.map((feature) => (
          <EditStates key={feature.id} variant={variant} feature={feature} view={view} />
        ))}
      </div>
      <div className="mt-2">
        <AlertDialog
          offer="Remove this issue"
          warning="What it is known by goes with it, and this cannot be undone."
          act={`Remove ${variant.name}`}
          onAct={() => void dispatch(deleteRow({ kind: 'variants', row: variant, label: variant.name }))}
        />
      </div>
    </Fold>
  );
}

interface EditStatesProps {
  readonly variant: Variant;
  readonly feature: Feature;
  readonly view: CastingView;
}

/** The states of one feature: none ticked is "not recorded"; several share evenly until shares are known from a file. */
function EditStates({ variant, feature, view }: EditStatesProps) {
  const [record] = useRecordStatesMutation();
  const [problem, setProblem] = useState<unknown>(null);
  const recorded = view.variantStates.filter((row) => row.variantId === variant.id && row.featureId === feature.id);
  const own = view.states.filter((state) => state.featureId === feature.id);
  const toggle = async (stateId: string) => {
    const before = recorded.map((row) => row.stateId);
    const after = before.includes(stateId) ? before.filter((id) => id !== stateId) : [...before, stateId];
    setProblem(null);
    try {
      const states = after.map((id) => ({ stateId: id, share: 1 / after.length }));
      await record({ variantId: variant.id, featureId: feature.id, states }).unwrap();
    } catch (error) {
      setProblem(error);
    }
  };
  return (
    <fieldset className="border-t border-hairline pt-1">
      <legend className="float-left w-full">
        {feature.label}
        {recorded.length === 0 && <span className="text-note text-soft-ink"> · not recorded</span>}
      </legend>
      <div className="clear-both flex flex-wrap gap-x-3">
        {own.map((state) => (
          <Checkbox
            key={state.id}
            checked={recorded.some((row) => row.stateId === state.id)}
            onChange={() => void toggle(state.id)}
          >
            {state.label}
          </Checkbox>
        ))}
      </div>
      {problem !== null && <ErrorNote error={readAppError(problem)} onClose={() => setProblem(null)} />}
    </fieldset>
  );
}
