import { LogCoat } from '@sardonyx/contract';
import { isStanding, layersUnder, usualHow, type Area, type SpecimenPart } from '@sardonyx/core';
import { useEffect, useMemo, useState } from 'react';
import { useWatch } from 'react-hook-form';
import { Checkbox } from '../../../../shared/ui/Checkbox.tsx';
import { Chooser } from '../../../../shared/ui/Chooser.tsx';
import { MomentField } from '../../../../shared/ui/MomentField.tsx';
import { Controlled } from '../../../../shared/ui/Controlled.tsx';
import { Fold } from '../../../../shared/ui/Fold.tsx';
import { FormSelect } from '../../../../shared/ui/FormSelect.tsx';
import { useGetShelfQuery, useLogCoatMutation } from '../../../../shared/api/api.ts';
import { formatSoon } from '../../../../shared/dates/sayDates.ts';
import { readWallTime, writeWallTime } from '../../../../shared/dates/wallTime.ts';
import { Field } from '../../../../shared/ui/Field.tsx';
import { useContractForm } from '../../../../shared/form/useContractForm.ts';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { useWho } from '../../../../shared/ui/useWho.ts';
import { useAhead, useNow } from '../../../clocks/index.ts';
import { useJob } from '../../JobContext.tsx';
import { listCoatPots } from './coatPots.ts';
import { HowFields } from './HowFields.tsx';
import { PouredField } from './PouredField.tsx';
import { Remembered } from './Remembered.tsx';

interface LogCoatProps {
  readonly part: SpecimenPart;
  readonly areas: readonly Area[];
  /** What is most likely to go on next. */
  readonly first?: { readonly areaId: string; readonly productId: string; readonly isMist?: boolean };
  readonly isOpen?: boolean;
}

/** Logs a coat that was put on: product, temperature, time. Refused with the reason where it must not go on. */
export function LogCoatForm({ part, areas, first, isOpen = false }: LogCoatProps) {
  const { data: shelf } = useGetShelfQuery();
  const [who] = useWho();
  const now = useNow();
  const ahead = useAhead();
  const { specimen, view } = useJob();
  const [log, { isLoading, isSuccess }] = useLogCoatMutation();
  const form = useContractForm(LogCoat, {
    areaId: first?.areaId ?? areas[0]?.id ?? '',
    productId: first?.productId ?? '',
    isMist: first?.isMist ?? false,
    overBecause: '',
    how: usualHow(specimen.layers, first?.productId ?? '', view.room?.humidity ?? null),
    tempC: view.room?.tempC ?? 20,
    ml: null,
    appliedAt: writeWallTime(now),
    who,
    note: '',
  });
  const { register, control, handleSubmit, formState, showError, clearErrors, setValue, reset } = form;
  const { errors } = formState;
  /** From when it may go on, where waiting is all it takes. */
  const [from, setFrom] = useState<string | null>(null);
  const [areaId, productId, tempC, appliedAt, isMist] = useWatch({
    control,
    name: ['areaId', 'productId', 'tempC', 'appliedAt', 'isMist'],
  });
  const at = Date.parse(readWallTime(appliedAt));
  const area = specimen.areas.find((one) => one.id === areaId);
  const onPart = useMemo(() => {
    const own = specimen.areas.filter((one) => one.specimenPartId === part.id).map(({ id }) => id);
    return specimen.layers.filter((layer) => own.includes(layer.areaId));
  }, [specimen, part.id]);
  const standing = onPart.filter(isStanding);
  const top =
    standing.filter((layer) => layer.areaId === areaId).at(-1) ??
    (area ? layersUnder(area, specimen.areas, standing).at(-1) : undefined);
  const pots = useMemo(
    () =>
      shelf && area
        ? listCoatPots(
            shelf,
            { area, areas: specimen.areas, layers: onPart },
            {
              ...{ partKey: part.key, partName: part.name, material: part.material, tempC },
              appliedAt: Number.isNaN(at) || !formState.dirtyFields.appliedAt ? now : new Date(at),
              tasks: view.tasks.filter((task) => task.specimenId === specimen.specimen.id),
              ...{ standing: specimen.film, products: shelf.products },
              ...{ isMist: isMist ?? false, reliefUm: area?.reliefUm ?? null, overBecause: 'asked when it is logged' },
            },
          )
        : [],
    [shelf, part, specimen, view.tasks, area, onPart, tempC, at, now, isMist, formState.dirtyFields.appliedAt],
  );
  // What goes on next follows the log, until somebody chooses otherwise.
  const { dirtyFields } = formState;
  const isChosen = dirtyFields.productId ?? dirtyFields.areaId ?? dirtyFields.isMist ?? false;
  const { areaId: nextArea = '', productId: nextPot = '', isMist: nextIsMist = false } = first ?? {};
  useEffect(() => {
    if (nextArea === '' || isChosen) return;
    setValue('areaId', nextArea);
    setValue('productId', nextPot);
    setValue('isMist', nextIsMist);
  }, [nextArea, nextPot, nextIsMist, isChosen, setValue]);
  // Another pot has its own batch and thinner, unless somebody has typed them already.
  const isHowTyped = formState.dirtyFields.how !== undefined;
  useEffect(() => {
    if (!isHowTyped) setValue('how', usualHow(specimen.layers, productId, view.room?.humidity ?? null));
  }, [isHowTyped, productId, specimen.layers, view.room, setValue]);
  const save = handleSubmit(async (values) => {
    clearErrors();
    setFrom(null);
    try {
      // Whoever leaves the time alone means now, however long the form stood open. Read at the press: the steps of
      // `now` lag, and the coat would lie before the keying of a moment ago.
      const at = formState.dirtyFields.appliedAt ? values.appliedAt : writeWallTime(new Date(Date.now() + ahead));
      await log({ ...values, appliedAt: readWallTime(at) }).unwrap();
      // A reason, a note and what was poured belong to the coat they were written for.
      reset({ ...values, overBecause: '', note: '', ml: null });
    } catch (error) {
      setFrom(showError(error).from ?? null);
    }
  });
  return (
    <Fold
      className="border-t border-strong-line pt-3"
      isOpen={isOpen}
      title={`Log a coat on the ${part.name.toLowerCase()}`}
    >
      <form
        aria-label={`Log a coat on the ${part.name}`}
        className="grid gap-3 pt-3 sm:grid-cols-2"
        noValidate
        onSubmit={(event) => void save(event)}
      >
        <Field label="Area" error={errors.areaId?.message}>
          <FormSelect
            control={control}
            name="areaId"
            options={areas.map((area) => ({ value: area.id, label: area.name }))}
          />
        </Field>
        <Field label="Pot" error={errors.productId?.message}>
          <Controlled
            control={control}
            name="productId"
            render={(field) => <Chooser {...field} options={pots} placeholder="choose a pot" />}
          />
        </Field>
        {productId && <Remembered productId={productId} overProductId={top?.productId ?? null} />}
        <Controlled
          control={control}
          name="isMist"
          render={({ value, onChange }) => (
            <Checkbox className="sm:col-span-2" checked={value ?? false} onChange={onChange}>
              A mist coat: so thin that the ground shows through
            </Checkbox>
          )}
        />
        <Field label="Temperature in the room, °C" error={errors.tempC?.message}>
          <input inputMode="decimal" {...register('tempC', { valueAsNumber: true })} />
        </Field>
        <Field label="When" error={errors.appliedAt?.message}>
          <Controlled
            control={control}
            name="appliedAt"
            render={({ onLeave: _, ...field }) => <MomentField {...field} />}
          />
        </Field>
        <PouredField {...{ part, control, register, errors }} />
        <HowFields {...{ control, register, errors }} />
        <Field label="Who" error={errors.who?.message}>
          <input {...register('who')} />
        </Field>
        <Field label="Note" error={errors.note?.message}>
          <input {...register('note')} />
        </Field>
        {errors.overBecause && (
          <Field label="Why it goes on all the same" error={errors.overBecause.message}>
            <input {...register('overBecause')} />
          </Field>
        )}
        {errors.root && (
          <div className="sm:col-span-2">
            <ErrorNote error={{ kind: 'refused', message: errors.root.message ?? '' }} />
            {from && <p className="mt-1">It may go on from {formatSoon(Date.parse(from), now)}.</p>}
          </div>
        )}
        <div className="flex items-center gap-3 sm:col-span-2">
          <button type="submit" className="main-button" disabled={isLoading}>
            Log the coat
          </button>
          {isSuccess && !errors.root && <span role="status">Logged.</span>}
        </div>
      </form>
    </Fold>
  );
}
