import { CreateCasting } from '@sardonyx/contract';
import { BODY_TYPES, type Construction } from '@sardonyx/core';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { useNavigate, useSearchParams } from 'react-router';
import { useCreateCastingMutation, useGetCatalogueQuery } from '../../shared/api/api.ts';
import { useContractForm } from '../../shared/form/useContractForm.ts';
import { Field } from '../../shared/ui/Field.tsx';
import { FormSelect } from '../../shared/ui/FormSelect.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { asRequest } from './build/asRequest.ts';
import { BuildEditor } from './build/BuildEditor.tsx';
import { ChooseConstruction } from './build/ChooseConstruction.tsx';
import { useBuildDraft } from './build/useBuildDraft.ts';

const NEW_RANGE = ['rangeName', 'makerName'] as const;
const NO_NEW_RANGE = { rangeName: null, makerName: null };
const OWN_RANGE = { value: 'own', label: 'My own castings' };

/** A casting of one's own: choose how it is put together, then change what differs. */
export function NewCastingPage() {
  const [construction, setConstruction] = useState<Construction | null>(null);
  return (
    <div className="mx-auto max-w-[84rem] space-y-5 p-4">
      {construction ? (
        <NewCasting key={construction.key} construction={construction} onBack={() => setConstruction(null)} />
      ) : (
        <>
          <div>
            <h1>How is it put together?</h1>
            <p className="text-soft-ink">
              Choose what comes nearest: its parts and joints come along, and everything can be changed on the next
              screen and later.
            </p>
          </div>
          <ChooseConstruction onChoose={setConstruction} />
        </>
      )}
    </div>
  );
}

interface NewCastingProps {
  readonly construction: Construction;
  readonly onBack: () => void;
}

function NewCasting({ construction, onBack }: NewCastingProps) {
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const { data: catalogue } = useGetCatalogueQuery();
  const [create, { isLoading }] = useCreateCastingMutation();
  const tools = useBuildDraft({
    parts: construction.parts.map((part) => ({ ...part, sizes: {} })),
    joints: construction.joints,
  });
  const form = useContractForm(CreateCasting, {
    ...{
      rangeId: 'own',
      rangeName: '',
      makerName: '',
      number: '',
      name: '',
      bodyType: construction.bodyType,
      lengthMm: 70,
      wheelbaseMm: 40,
    },
    ...{ construction: construction.about, builtAs: construction.key, parts: [], joints: [] },
  });
  const { register, control, formState, showError, clearErrors, trigger, getValues } = form;
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({});
  const size = useWatch({ control, name: ['bodyType', 'lengthMm', 'wheelbaseMm'] });
  const known = (catalogue?.ranges ?? []).map((range) => ({
    value: range.id,
    label: `${range.makerName}, ${range.name}`,
  }));
  const ranges = [
    ...(known.some(({ value }) => value === OWN_RANGE.value) ? known : [OWN_RANGE, ...known]),
    { value: null, label: 'another range: type its name' },
  ];
  const isNewRange = useWatch({ control, name: 'rangeId' }) === null;
  const { errors } = formState;
  const save = async () => {
    clearErrors();
    setFaults({});
    if (
      !(await trigger(['number', 'name', 'lengthMm', 'wheelbaseMm', 'construction', ...(isNewRange ? NEW_RANGE : [])]))
    )
      return;
    try {
      const casting = await create({
        ...getValues(),
        ...(isNewRange ? {} : NO_NEW_RANGE),
        ...asRequest(tools.draft),
      }).unwrap();
      // Whoever came from putting a model on the bench goes back there with it.
      await navigate(
        params.get('for') === 'bench' ? `/put-on-bench?casting=${casting.id}` : `/catalogue/${casting.id}`,
      );
    } catch (error) {
      setFaults(showError(error).fields ?? {});
    }
  };
  return (
    <form
      aria-label="Add a casting"
      className="space-y-5"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1>
          A casting of your own <span className="font-normal text-soft-ink">({construction.name.toLowerCase()})</span>
        </h1>
        <button type="button" className="quiet-button" onClick={onBack}>
          Another construction
        </button>
      </div>
      <div className="grid gap-4 sm:grid-cols-3">
        <Field label="Name" error={errors.name?.message}>
          <input autoFocus {...register('name')} />
        </Field>
        <Field
          label="Number"
          error={errors.number?.message}
          hint={`Look ${construction.numbers.join('; ')}. Leave it empty where there is none.`}
        >
          <input {...register('number')} />
        </Field>
        <Field label="Range" error={errors.rangeId?.message}>
          <FormSelect control={control} name="rangeId" options={ranges} />
        </Field>
        {isNewRange && (
          <>
            <Field label="Name of the range" error={errors.rangeName?.message}>
              <input {...register('rangeName')} />
            </Field>
            <Field label="Its maker" error={errors.makerName?.message} hint="Leave empty where nobody knows.">
              <input {...register('makerName')} />
            </Field>
          </>
        )}
        <Field label="Kind of vehicle" error={errors.bodyType?.message}>
          <FormSelect control={control} name="bodyType" options={BODY_TYPES} />
        </Field>
        <Field label="Length, mm" error={errors.lengthMm?.message}>
          <input inputMode="decimal" {...register('lengthMm', { valueAsNumber: true })} />
        </Field>
        <Field label="Wheelbase, mm" error={errors.wheelbaseMm?.message}>
          <input inputMode="decimal" {...register('wheelbaseMm', { valueAsNumber: true })} />
        </Field>
        <div className="sm:col-span-3">
          <Field label="How it is put together, in your words" error={errors.construction?.message}>
            <input {...register('construction')} />
          </Field>
        </div>
      </div>
      <BuildEditor
        tools={tools}
        size={{ bodyType: size[0], lengthMm: size[1], wheelbaseMm: size[2] }}
        kept={null}
        faults={faults}
      />
      {errors.root && <ErrorNote error={{ kind: 'bad input', message: errors.root.message ?? '' }} />}
      <button type="submit" className="main-button" disabled={isLoading}>
        Add it to the catalogue
      </button>
    </form>
  );
}
