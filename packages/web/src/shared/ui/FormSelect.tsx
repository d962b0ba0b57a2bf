import { useController, type Control, type FieldPath, type FieldPathValue, type FieldValues } from 'react-hook-form';
import { Select, type SelectProps } from './Select.tsx';
import type { OptionValue } from './options.ts';

interface FormSelectProps<T extends FieldValues, N extends FieldPath<T>> extends Omit<
  SelectProps<Extract<FieldPathValue<T, N>, OptionValue>>,
  'value' | 'onChange'
> {
  readonly control: Control<T>;
  readonly name: N;
  /** Called with what was chosen, besides. */
  readonly onChosen?: (value: Extract<FieldPathValue<T, N>, OptionValue>) => void;
}

/** A Select that is a field of a form. */
export function FormSelect<T extends FieldValues, N extends FieldPath<T>>(props: FormSelectProps<T, N>) {
  const { control, name, onChosen, ...rest } = props;
  const { field } = useController({ control, name });
  return (
    <Select
      {...rest}
      value={field.value as Extract<FieldPathValue<T, N>, OptionValue>}
      onChange={(value) => {
        field.onChange(value);
        onChosen?.(value);
      }}
      onLeave={field.onBlur}
    />
  );
}
