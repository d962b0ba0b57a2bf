import type { ReactElement } from 'react';
import { useController, type Control, type FieldPath, type FieldPathValue, type FieldValues } from 'react-hook-form';
import type { ControlProps } from './controlProps.ts';

export interface ControlledField<V> extends ControlProps {
  readonly value: V;
  readonly onChange: (value: V) => void;
  readonly onLeave: () => void;
}

interface ControlledProps<T extends FieldValues, N extends FieldPath<T>> extends ControlProps {
  readonly control: Control<T>;
  readonly name: N;
  readonly render: (field: ControlledField<FieldPathValue<T, N>>) => ReactElement;
}

/** A part of the kit as a field of a form; what the field around it says of it goes on to the part. */
export function Controlled<T extends FieldValues, N extends FieldPath<T>>(props: ControlledProps<T, N>) {
  const { control, name, render, ...rest } = props;
  const { field } = useController({ control, name });
  return render({ ...rest, value: field.value, onChange: field.onChange, onLeave: field.onBlur });
}
