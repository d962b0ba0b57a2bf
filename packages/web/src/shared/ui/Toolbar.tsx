import { Toolbar as Radix } from 'radix-ui';
import type { Act } from './acts.ts';

/** Acts on what stands below, one Tab stop; arrow keys move along. */
export function Toolbar({ label, acts }: { readonly label: string; readonly acts: readonly Act[] }) {
  return (
    <Radix.Root aria-label={label} className="flex flex-wrap gap-2">
      {acts.map(({ word, icon: Icon, onAct, isDisabled = false, isOn }) => (
        <Radix.Button
          key={word}
          className="plain-button aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-sheet"
          disabled={isDisabled}
          onClick={onAct}
          {...(isOn === undefined ? {} : { 'aria-pressed': isOn })}
        >
          {Icon && <Icon aria-hidden size={18} />}
          {word}
        </Radix.Button>
      ))}
    </Radix.Root>
  );
}
