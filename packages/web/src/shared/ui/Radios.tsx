import { RadioGroup as Radix } from 'radix-ui';
import { useId, type ReactNode } from 'react';
import type { ControlProps } from './controlProps.ts';
import { asOption, type OptionLike, type OptionValue } from './options.ts';

interface RadiosProps<V extends OptionValue> extends ControlProps {
  readonly value: V | undefined;
  readonly options: readonly OptionLike<V>[];
  readonly onChange: (value: V) => void;
  readonly className?: string;
  readonly disabled?: boolean;
  /** More than the words of an option, where a line is not enough. */
  readonly describe?: (value: V) => ReactNode;
}

/** One of a few that are all to be seen; arrow keys move and choose. */
export function Radios<V extends OptionValue>(props: RadiosProps<V>) {
  const {
    value,
    options,
    onChange,
    className = 'flex flex-wrap gap-x-5',
    disabled = false,
    describe,
    ...control
  } = props;
  const known = options.map(asOption);
  const at = known.findIndex((option) => option.value === value);
  return (
    <Radix.Root
      {...control}
      className={className}
      disabled={disabled}
      value={at < 0 ? '' : String(at)}
      onValueChange={(key) => onChange(known[Number(key)]!.value)}
    >
      {known.map((option, i) => (
        <Choice key={i} at={i} isDisabled={option.isDisabled ?? false}>
          {describe ? describe(option.value) : option.label}
          {option.note && <span className="block text-note text-soft-ink">{option.note}</span>}
        </Choice>
      ))}
    </Radix.Root>
  );
}

function Choice({ at, isDisabled, children }: { at: number; isDisabled: boolean; children: ReactNode }) {
  const id = useId();
  return (
    <span className="inline-flex min-h-11 items-center gap-2">
      <Radix.Item id={id} value={String(at)} disabled={isDisabled} className="chosen-dot">
        <Radix.Indicator className="block size-3 rounded-full bg-ink" />
      </Radix.Item>
      <label htmlFor={id} className="grow">
        {children}
      </label>
    </span>
  );
}
