import { ToggleGroup as Radix } from 'radix-ui';
import type { ControlProps } from './controlProps.ts';
import { asOption, type Option, type OptionValue } from './options.ts';
import { Dab } from './Dab.tsx';

interface ToggleOption<V extends OptionValue> extends Option<V> {
  /** Its colour, where it is one. */
  readonly swatch?: string | null;
}

interface TogglesProps<V extends OptionValue> extends ControlProps {
  /** undefined: none is chosen yet. */
  readonly value: V | undefined;
  readonly options: readonly (V | ToggleOption<V>)[];
  readonly onChange: (value: V) => void;
  /** Of each, where they shall be alike. */
  readonly size?: string;
  /** Each in a box of its own: for long words that take several lines of them. */
  readonly isApart?: boolean;
  /** As wide as there is room, each alike. */
  readonly isWide?: boolean;
  readonly disabled?: boolean;
}

/** A few to choose from, side by side, each a press away. A note is a quiet sign before the word: the key that chooses it. */
export function Toggles<V extends OptionValue>({
  value,
  options,
  onChange,
  size = 'px-3',
  isApart = false,
  isWide = false,
  ...control
}: TogglesProps<V>) {
  const known: readonly ToggleOption<V>[] = options.map((one) => asOption<V>(one));
  const at = known.findIndex((option) => option.value === value);
  return (
    <Radix.Root
      {...control}
      type="single"
      className={
        isApart
          ? 'flex flex-wrap gap-2'
          : `${isWide ? 'grid auto-cols-fr grid-flow-col' : 'inline-flex flex-wrap'} border border-strong-line`
      }
      value={at < 0 ? '' : String(at)}
      onValueChange={(key) => key !== '' && onChange(known[Number(key)]!.value)}
    >
      {known.map(({ label, note, swatch, isDisabled = false }, i) => (
        <Radix.Item
          key={i}
          value={String(i)}
          disabled={isDisabled}
          className={`inline-flex min-h-11 items-center justify-center gap-2 underline-offset-4 disabled:text-soft-ink data-[state=on]:bg-ink data-[state=on]:font-semibold data-[state=on]:text-sheet ${isApart ? 'border border-strong-line bg-sheet' : 'not-first:border-l not-first:border-strong-line'} ${size}`}
        >
          {note && (
            <span aria-hidden className="figure text-note font-normal opacity-80">
              {note}
            </span>
          )}
          {swatch && <Dab colour={swatch} />}
          {label}
        </Radix.Item>
      ))}
    </Radix.Root>
  );
}
