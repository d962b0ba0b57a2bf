import type { CastingView } from '@sardonyx/contract';
import { CreateFeature, CreateFeatureState } from '@sardonyx/contract';
import { ALTERATION_GROUPS, createKey, isOfColours, PART_ROLES, type Feature, type FeatureState } from '@sardonyx/core';
import { FormSelect } from '../../shared/ui/FormSelect.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { deleteRow } from '../../shared/edits/editRow.ts';
import { Autosaved } from '../../shared/form/Autosaved.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { useRowForm } from '../../shared/form/useRowForm.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { AlertDialog } from '../../shared/ui/AlertDialog.tsx';
import { StateColourField } from './StateColourField.tsx';
import { StateSizeField } from './StateSizeField.tsx';

/** The features of the range: where to look, what may be seen there and in which years; they hold for all its castings. */
export function EditFeatures({ view }: { readonly view: CastingView }) {
  return (
    <section aria-label="Edit the features" className="space-y-3">
      <h2>Features of the range {view.range.name}</h2>
      <p className="text-soft-ink">What is changed here holds for every casting of the range.</p>
      {view.features.map((feature) => (
        <EditFeature
          key={feature.id}
          feature={feature}
          states={view.states.filter((one) => one.featureId === feature.id)}
        />
      ))}
      <AddFeature rangeId={view.range.id} taken={view.features.map(({ key }) => key)} />
    </section>
  );
}

function EditFeature({ feature, states }: { readonly feature: Feature; readonly states: readonly FeatureState[] }) {
  const dispatch = useAppDispatch();
  const hasColours = isOfColours(feature, states);
  return (
    <Fold
      className="border border-hairline bg-sheet p-3"
      title={
        <>
          {feature.label}{' '}
          <span className="font-normal text-soft-ink">
            {states.length} states, effort {feature.effort}, {feature.group}
          </span>
        </>
      }
    >
      <div className="mt-2 grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        <Autosaved kind="features" row={feature} field="label" label="Name" />
        <div className="lg:col-span-3">
          <Autosaved kind="features" row={feature} field="howToLook" label="Where and how to look" />
        </div>
        <Autosaved kind="features" row={feature} field="effort" label="Effort, 1 glance to 8 opening" type="number" />
        <Autosaved
          kind="features"
          row={feature}
          field="group"
          label="Altered together with"
          options={ALTERATION_GROUPS}
        />
        <Autosaved kind="features" row={feature} field="partRole" label="Part" options={PART_ROLES} />
        <Autosaved kind="features" row={feature} field="destroys" label="What the look destroys" />
      </div>
      <table className="mt-3 w-full border-collapse">
        <tbody>
          {states.map((state) => (
            <tr key={state.id} className="border-t border-hairline align-top">
              <td className="py-1 pr-3">
                <Autosaved kind="feature-states" row={state} field="label" label="State" />
                {hasColours ? <StateColourField state={state} /> : <StateSizeField state={state} />}
              </td>
              <td className="w-32 py-1 pr-3">
                <Autosaved kind="feature-states" row={state} field="fromYear" label="From year" type="number" />
              </td>
              <td className="w-32 py-1 pr-3">
                <Autosaved kind="feature-states" row={state} field="toYear" label="To year" type="number" />
              </td>
              <td className="w-44 pt-7 text-right">
                <AlertDialog
                  offer={`Remove “${state.label}”`}
                  warning="Issues known by it lose it, and this cannot be undone."
                  act={`Remove ${state.label}`}
                  onAct={() => void dispatch(deleteRow({ kind: 'feature-states', row: state, label: state.label }))}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <AddState featureId={feature.id} taken={states.map(({ key }) => key)} />
      <AlertDialog
        offer="Remove this feature"
        warning="Its states go with it, on every issue of the range, and this cannot be undone."
        act={`Remove ${feature.label}`}
        onAct={() => void dispatch(deleteRow({ kind: 'features', row: feature, label: feature.label }))}
      />
    </Fold>
  );
}

function AddState({ featureId, taken }: { readonly featureId: string; readonly taken: readonly string[] }) {
  const { register, errors, save } = useRowForm({
    kind: 'feature-states',
    type: CreateFeatureState,
    start: { featureId, key: 'new', label: '', colourHex: null, fromYear: null, toYear: null, lookAlikes: [] },
    complete: (values) => ({ ...values, key: createKey(values.label, taken, 'state') }),
    labelOf: (values) => values.label,
  });
  return (
    <form
      className="flex flex-wrap items-end gap-3 border-t border-hairline py-2"
      noValidate
      onSubmit={(event) => void save(event)}
    >
      <Field label="New state" error={errors.label?.message ?? errors.root?.message}>
        <input {...register('label')} />
      </Field>
      <button type="submit" className="plain-button">
        Add the state
      </button>
    </form>
  );
}

function AddFeature({ rangeId, taken }: { readonly rangeId: string; readonly taken: readonly string[] }) {
  const { register, control, errors, save } = useRowForm({
    kind: 'features',
    type: CreateFeature,
    start: {
      ...{ rangeId, key: 'new', label: '', howToLook: '', partRole: 'body' as const, effort: 1, destroys: '' },
      group: 'fitted part' as const,
    },
    complete: (values) => ({ ...values, key: createKey(values.label, taken, 'feature') }),
    labelOf: (values) => values.label,
  });
  return (
    <form className="flex flex-wrap items-end gap-3" noValidate onSubmit={(event) => void save(event)}>
      <Field label="New feature" error={errors.label?.message ?? errors.root?.message}>
        <input {...register('label')} />
      </Field>
      <Field label="Altered together with" error={errors.group?.message}>
        <FormSelect control={control} name="group" options={ALTERATION_GROUPS} />
      </Field>
      <button type="submit" className="plain-button">
        Add the feature
      </button>
    </form>
  );
}
