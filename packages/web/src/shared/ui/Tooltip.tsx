import { Tooltip as Radix } from 'radix-ui';
import type { ReactElement } from 'react';

const AFTER_MS = 400;

/** A word about a control, on hover and on focus. Never the only place where it is said. */
export function Tooltip({ says, children }: { readonly says: string; readonly children: ReactElement }) {
  return (
    <Radix.Provider delayDuration={AFTER_MS}>
      <Radix.Root>
        <Radix.Trigger asChild>{children}</Radix.Trigger>
        <Radix.Portal>
          <Radix.Content
            sideOffset={6}
            className="z-60 max-w-72 border border-ink bg-ink px-2 py-1 text-note text-sheet"
          >
            {says}
          </Radix.Content>
        </Radix.Portal>
      </Radix.Root>
    </Radix.Provider>
  );
}
