import { Checkbox as Radix } from 'radix-ui';
import { useId, type ReactNode } from 'react';
import { CheckIcon, MinusIcon } from './icons.ts';

interface CheckboxProps {
  readonly checked: boolean | 'indeterminate';
  readonly onChange: (isChecked: boolean) => void;
  readonly children: ReactNode;
  readonly disabled?: boolean;
  readonly className?: string;
}

/** Yes or no, with its words beside it; the words can be pressed too. */
export function Checkbox({ checked, onChange, children, disabled = false, className = '' }: CheckboxProps) {
  const id = useId();
  return (
    <span className={`inline-flex min-h-11 items-center gap-2 ${className}`}>
      <Radix.Root
        id={id}
        className="ticked-box"
        checked={checked}
        disabled={disabled}
        onCheckedChange={(state) => onChange(state === true)}
      >
        <Radix.Indicator>
          {checked === 'indeterminate' ? <MinusIcon aria-hidden size={20} /> : <CheckIcon aria-hidden size={20} />}
        </Radix.Indicator>
      </Radix.Root>
      <label htmlFor={id}>{children}</label>
    </span>
  );
}
