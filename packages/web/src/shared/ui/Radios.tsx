import { RadioGroup as Radix } from 'radix-ui';
import { useId, type ReactNode } from 'react';
import { asOption, type OptionLike, type OptionValue } from './options.ts';

interface RadiosProps<V extends OptionValue> {
  /** What is asked. */
  readonly label: string;
  /** How the question is shown above: as a heading, as a small word, or only read out. */
  readonly look?: 'heading' | 'quiet' | 'unseen';
  readonly value: V | undefined;
  readonly options: readonly OptionLike<V>[];
  readonly onChange: (value: V) => void;
  readonly disabled?: boolean;
  /** One under the other, each as wide as there is room. */
  readonly isList?: boolean;
  /** More than the words of an option, where these are not enough. */
  readonly describe?: (value: V) => ReactNode;
}

const LOOKS = { heading: 'font-semibold', quiet: 'text-note', unseen: 'sr-only' } as const;

/** One of a few that are all to be seen; arrow keys move and choose. */
export function Radios<V extends OptionValue>(props: RadiosProps<V>) {
  const { label, look = 'heading', value, options, onChange, disabled = false, isList = false, describe } = props;
  const id = useId();
  const known = options.map(asOption);
  const at = known.findIndex((option) => option.value === value);
  return (
    <div>
      <span id={id} className={`block ${LOOKS[look]}`}>
        {label}
      </span>
      <Radix.Root
        aria-labelledby={id}
        className={isList ? '' : 'flex flex-wrap gap-x-5'}
        disabled={disabled}
        value={at < 0 ? '' : String(at)}
        onValueChange={(key) => onChange(known[Number(key)]!.value)}
      >
        {known.map((option, i) => (
          <Choice key={i} at={i} isDisabled={option.isDisabled ?? false} isList={isList}>
            {describe ? describe(option.value) : option.label}
            {option.note && <span className="block text-note text-soft-ink">{option.note}</span>}
          </Choice>
        ))}
      </Radix.Root>
    </div>
  );
}

interface ChoiceProps {
  readonly at: number;
  readonly isDisabled: boolean;
  readonly isList: boolean;
  readonly children: ReactNode;
}

function Choice({ at, isDisabled, isList, children }: ChoiceProps) {
  const id = useId();
  return (
    <span className={`min-h-11 items-center gap-2 ${isList ? 'flex border-b border-hairline py-1' : 'inline-flex'}`}>
      <Radix.Item id={id} value={String(at)} disabled={isDisabled} className="chosen-dot">
        <Radix.Indicator className="block size-3 rounded-full bg-ink" />
      </Radix.Item>
      <label htmlFor={id} className="grow">
        {children}
      </label>
    </span>
  );
}
