import { ContextMenu as Radix } from 'radix-ui';
import type { ReactElement } from 'react';
import type { Act } from './acts.ts';

/** What can be done with the thing under the pointer: right press, long touch or the menu key. Each is to be found elsewhere too. */
export function ContextMenu({ children, acts }: { readonly children: ReactElement; readonly acts: readonly Act[] }) {
  return (
    <Radix.Root modal={false}>
      <Radix.Trigger asChild>{children}</Radix.Trigger>
      <Radix.Portal>
        <Radix.Content className="z-60 border border-ink bg-sheet text-ink">
          {acts.map(({ word, icon: Icon, onAct, isDisabled = false }) => (
            <Radix.Item key={word} disabled={isDisabled} className="listed-option" onSelect={onAct}>
              {Icon && <Icon aria-hidden size={18} />}
              {word}
            </Radix.Item>
          ))}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
