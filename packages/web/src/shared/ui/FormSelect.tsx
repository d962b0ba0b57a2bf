import type { Control, FieldPath, FieldPathValue, FieldValues } from 'react-hook-form';
import { Controlled } from './Controlled.tsx';
import type { OptionValue } from './options.ts';
import { Select, type SelectProps } from './Select.tsx';

interface FormSelectProps<T extends FieldValues, N extends FieldPath<T>> extends Omit<
  SelectProps<Extract<FieldPathValue<T, N>, OptionValue>>,
  'value' | 'onChange' | 'onLeave'
> {
  readonly control: Control<T>;
  readonly name: N;
}

/** A Select that is a field of a form. */
export function FormSelect<T extends FieldValues, N extends FieldPath<T>>(props: FormSelectProps<T, N>) {
  const { control, name, ...rest } = props;
  return <Controlled control={control} name={name} render={(field) => <Select {...rest} {...field} />} />;
}
