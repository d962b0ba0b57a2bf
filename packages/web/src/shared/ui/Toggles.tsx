import { ToggleGroup as Radix } from 'radix-ui';
import type { ControlProps } from './controlProps.ts';
import { asOption, type OptionLike, type OptionValue } from './options.ts';

interface TogglesProps<V extends OptionValue> extends ControlProps {
  readonly value: V;
  readonly options: readonly OptionLike<V>[];
  readonly onChange: (value: V) => void;
  /** Of each, where they shall be alike. */
  readonly size?: string;
}

/** Two to five ways to see the same, side by side; one always holds. */
export function Toggles<V extends OptionValue>({
  value,
  options,
  onChange,
  size = 'min-h-11 px-3',
  ...control
}: TogglesProps<V>) {
  const known = options.map(asOption);
  return (
    <Radix.Root
      {...control}
      type="single"
      className="inline-flex flex-wrap border border-strong-line"
      value={String(known.findIndex((option) => option.value === value))}
      onValueChange={(key) => key !== '' && onChange(known[Number(key)]!.value)}
    >
      {known.map((option, i) => (
        <Radix.Item
          key={i}
          value={String(i)}
          disabled={option.isDisabled ?? false}
          className={`${size} underline-offset-4 not-first:border-l not-first:border-strong-line disabled:text-soft-ink data-[state=on]:bg-ink data-[state=on]:font-semibold data-[state=on]:text-sheet`}
        >
          {option.label}
        </Radix.Item>
      ))}
    </Radix.Root>
  );
}
