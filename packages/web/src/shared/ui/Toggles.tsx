import { ToggleGroup as Radix } from 'radix-ui';
import type { ControlProps } from './controlProps.ts';
import { asOption, type OptionLike, type OptionValue } from './options.ts';

interface TogglesProps<V extends OptionValue> extends ControlProps {
  readonly value: V;
  readonly options: readonly OptionLike<V>[];
  readonly onChange: (value: V) => void;
}

/** Two to five ways to see the same, side by side; one always holds. */
export function Toggles<V extends OptionValue>({ value, options, onChange, ...control }: TogglesProps<V>) {
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
          className="min-h-11 px-3 underline-offset-4 not-first:border-l not-first:border-strong-line disabled:text-soft-ink data-[state=on]:bg-ink data-[state=on]:font-semibold data-[state=on]:text-sheet"
        >
          {option.label}
        </Radix.Item>
      ))}
    </Radix.Root>
  );
}
