import type { LogCoat } from '@sardonyx/contract';
import { sayHow } from '@sardonyx/core';
import { useWatch, type Control, type FieldErrors, type UseFormRegister } from 'react-hook-form';
import { readOptional } from '../../../../shared/form/readNumber.ts';
import { Field } from '../../../../shared/ui/Field.tsx';
import { Fold } from '../../../../shared/ui/Fold.tsx';

interface HowFieldsProps {
  readonly control: Control<LogCoat>;
  readonly register: UseFormRegister<LogCoat>;
  readonly errors: FieldErrors<LogCoat>;
}

const NUMBERS = [
  ['thinnerParts', 'Thinner, parts to one of paint'],
  ['pressureBar', 'Pressure, bar'],
  ['nozzleMm', 'Nozzle, mm'],
  ['humidity', 'Humidity in the room, %'],
] as const;

/** What else a coat is logged with, as last time and in one line; opened only where something differs. */
export function HowFields({ control, register, errors }: HowFieldsProps) {
  const how = useWatch({ control, name: 'how' });
  const words = sayHow(how ?? null);
  return (
    <div className="sm:col-span-2">
      <Fold title={words ? `Batch, thinner, gun: ${words}` : 'Batch, thinner, gun'} isOpen={errors.how !== undefined}>
        <div className="grid gap-3 py-2 sm:grid-cols-2">
          <Field label="Batch, as it is marked" error={errors.how?.batch?.message}>
            <input maxLength={60} {...register('how.batch')} />
          </Field>
          {NUMBERS.map(([name, label]) => (
            <Field key={name} label={label} error={errors.how?.[name]?.message}>
              <input inputMode="decimal" {...register(`how.${name}`, { setValueAs: readOptional })} />
            </Field>
          ))}
        </div>
      </Fold>
    </div>
  );
}
