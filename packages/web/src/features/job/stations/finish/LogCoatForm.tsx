import { LogCoat } from '@sardonyx/contract';
import type { Area, SpecimenPart } from '@sardonyx/core';
import { useGetShelfQuery, useLogCoatMutation } from '../../../../shared/api/api.ts';
import { toLocalField } from '../../../../shared/format.ts';
import { Field } from '../../../../shared/ui/Field.tsx';
import { useContractForm } from '../../../../shared/form/useContractForm.ts';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { useWho } from '../../../../shared/ui/useWho.ts';

const toIso = (value: unknown) =>
  typeof value === 'string' && value !== '' && !Number.isNaN(Date.parse(value)) ? new Date(value).toISOString() : value;

interface LogCoatProps {
  readonly part: SpecimenPart;
  readonly areas: readonly Area[];
  /** What is most likely to go on next. */
  readonly first?: { readonly areaId: string; readonly productId: string };
  readonly isOpen?: boolean;
}

/** Logs a coat that was put on: product, temperature, time. Refused with the reason where it must not go on. */
export function LogCoatForm({ part, areas, first, isOpen = false }: LogCoatProps) {
  const { data: shelf } = useGetShelfQuery();
  const [who] = useWho();
  const [log, { isLoading, isSuccess }] = useLogCoatMutation();
  const { register, handleSubmit, formState, showError, clearErrors } = useContractForm(LogCoat, {
    areaId: first?.areaId ?? areas[0]?.id ?? '',
    productId: first?.productId ?? '',
    tempC: 20,
    appliedAt: toLocalField(new Date()),
    who,
    note: '',
  });
  const { errors } = formState;
  const save = handleSubmit(async (values) => {
    clearErrors();
    try {
      await log({ ...values, appliedAt: String(toIso(values.appliedAt)) }).unwrap();
    } catch (error) {
      showError(error);
    }
  });
  return (
    <details className="border-t border-strong-line pt-3" open={isOpen}>
      <summary className="plain-button">Log a coat on the {part.name.toLowerCase()}</summary>
      <form
        aria-label={`Log a coat on the ${part.name}`}
        className="grid gap-3 pt-3 sm:grid-cols-2"
        noValidate
        onSubmit={(event) => void save(event)}
      >
        <Field label="Area" error={errors.areaId?.message}>
          <select {...register('areaId')}>
            {areas.map((area) => (
              <option key={area.id} value={area.id}>
                {area.name}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Pot" error={errors.productId?.message}>
          <select {...register('productId')}>
            <option value="">Choose a pot</option>
            {(shelf?.products ?? []).map((product) => (
              <option key={product.id} value={product.id}>
                {product.line} {product.name} ({product.kind})
              </option>
            ))}
          </select>
        </Field>
        <Field label="Temperature in the room, °C" error={errors.tempC?.message}>
          <input inputMode="decimal" {...register('tempC', { valueAsNumber: true })} />
        </Field>
        <Field label="When" error={errors.appliedAt?.message}>
          <input type="datetime-local" {...register('appliedAt')} />
        </Field>
        <Field label="Who" error={errors.who?.message}>
          <input {...register('who')} />
        </Field>
        <Field label="Note" error={errors.note?.message}>
          <input {...register('note')} />
        </Field>
        {errors.root && (
          <div className="sm:col-span-2">
            <ErrorNote error={{ kind: 'refused', message: errors.root.message ?? '' }} />
          </div>
        )}
        <div className="flex items-center gap-3 sm:col-span-2">
          <button type="submit" className="main-button" disabled={isLoading}>
            Log the coat
          </button>
          {isSuccess && !errors.root && <span role="status">Logged.</span>}
        </div>
      </form>
    </details>
  );
}
