import { Switch as Radix } from 'radix-ui';
import { useId, type ReactNode } from 'react';

interface SwitchProps {
  readonly isOn: boolean;
  readonly onChange: (isOn: boolean) => void;
  readonly children: ReactNode;
  readonly disabled?: boolean;
}

/** For what takes effect at once. The word says which way it stands, not the place of the knob alone. */
export function Switch({ isOn, onChange, children, disabled = false }: SwitchProps) {
  const id = useId();
  return (
    <span className="inline-flex min-h-11 items-center gap-3">
      <Radix.Root
        id={id}
        checked={isOn}
        disabled={disabled}
        onCheckedChange={onChange}
        className="relative h-7 w-14 shrink-0 border-2 border-strong-line bg-sunk data-[state=checked]:border-ink data-[state=checked]:bg-ink"
      >
        <Radix.Thumb className="absolute top-0.5 left-0.5 block size-5 bg-ink data-[state=checked]:left-8 data-[state=checked]:bg-sheet" />
      </Radix.Root>
      <label htmlFor={id}>
        {children} <span className="text-soft-ink">{isOn ? 'on' : 'off'}</span>
      </label>
    </span>
  );
}
