import type { LogCoat } from '@sardonyx/contract';
import { takeForCoat, type SpecimenPart } from '@sardonyx/core';
import { useWatch, type Control, type FieldErrors, type UseFormRegister } from 'react-hook-form';
import { useGetShelfQuery } from '../../../../shared/api/api.ts';
import { readOptional } from '../../../../shared/form/readNumber.ts';
import { Field } from '../../../../shared/ui/Field.tsx';
import { useJob } from '../../JobContext.tsx';

interface PouredFieldProps {
  readonly part: SpecimenPart;
  readonly control: Control<LogCoat>;
  readonly register: UseFormRegister<LogCoat>;
  readonly errors: FieldErrors<LogCoat>;
}

/** What the coat takes out of its pot: as is reckoned, unless somebody says how much was poured. */
export function PouredField({ part, control, register, errors }: PouredFieldProps) {
  const { specimen } = useJob();
  const { data: shelf } = useGetShelfQuery();
  const [areaId, productId, isMist, how] = useWatch({ control, name: ['areaId', 'productId', 'isMist', 'how'] });
  const area = specimen.areas.find(({ id }) => id === areaId);
  const product = shelf?.products.find(({ id }) => id === productId);
  const taken =
    area && product
      ? takeForCoat({
          product,
          ...{ area, partKey: part.key, decisions: specimen.facts.decisions },
          drawing: specimen.casting?.casting.drawing ?? null,
          isMist: isMist ?? false,
          thinnerParts: how?.thinnerParts ?? null,
        })
      : null;
  const hint = taken
    ? `Empty: ${taken.ml.toFixed(1)} ± ${taken.sd.toFixed(1)} ml, reckoned from its area and film.`
    : product && 'Nobody drew or measured the area: empty takes nothing out of the pot.';
  return (
    <Field label="Poured for it, ml" hint={hint} error={errors.ml?.message}>
      <input inputMode="decimal" {...register('ml', { setValueAs: readOptional })} />
    </Field>
  );
}
