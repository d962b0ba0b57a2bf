import { DropdownMenu as Radix } from 'radix-ui';
import type { ReactElement } from 'react';
import type { Act } from './acts.ts';
import { CheckIcon } from './icons.ts';

interface MenuProps {
  /** The button that opens it. */
  readonly children: ReactElement;
  readonly acts: readonly Act[];
}

/** Acts behind one button. An act that switches something keeps the menu open. */
export function Menu({ children, acts }: MenuProps) {
  return (
    <Radix.Root modal={false}>
      <Radix.Trigger asChild>{children}</Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          align="end"
          sideOffset={2}
          className="z-60 max-h-(--radix-dropdown-menu-content-available-height) overflow-y-auto border border-ink bg-sheet text-ink"
        >
          {acts.map(({ word, icon: Icon, onAct, isDisabled = false, isOn }) =>
            isOn === undefined ? (
              <Radix.Item key={word} disabled={isDisabled} className="listed-option" onSelect={onAct}>
                {Icon && <Icon aria-hidden size={18} />}
                {word}
              </Radix.Item>
            ) : (
              <Radix.CheckboxItem
                key={word}
                checked={isOn}
                disabled={isDisabled}
                className="listed-option"
                onSelect={(event) => event.preventDefault()}
                onCheckedChange={onAct}
              >
                <span className="size-5">
                  <Radix.ItemIndicator>
                    <CheckIcon aria-hidden size={18} />
                  </Radix.ItemIndicator>
                </span>
                {word}
              </Radix.CheckboxItem>
            ),
          )}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
