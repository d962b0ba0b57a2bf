import { AlertDialog as Radix } from 'radix-ui';
import type { ReactElement, ReactNode } from 'react';

interface AlertDialogProps {
  /** The button that asks. */
  readonly children: ReactElement;
  readonly title: string;
  /** What goes, and what cannot be undone. */
  readonly warning: ReactNode;
  /** On the button that does it. */
  readonly act: string;
  readonly onAct: () => void;
  /** On the button that steps back. */
  readonly keep?: string;
}

/** Asks once more before what cannot be undone; Esc and the first button leave everything as it is. */
export function AlertDialog({ children, title, warning, act, onAct, keep = 'Keep it' }: AlertDialogProps) {
  return (
    <Radix.Root>
      <Radix.Trigger asChild>{children}</Radix.Trigger>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-shade" />
        <Radix.Content className="fixed top-1/4 left-1/2 z-50 w-[min(92vw,32rem)] -translate-x-1/2 border-2 border-sard bg-sheet p-5 text-ink">
          <Radix.Title className="text-lead font-semibold">{title}</Radix.Title>
          <Radix.Description asChild>
            <div className="mt-2">{warning}</div>
          </Radix.Description>
          <div className="mt-4 flex flex-wrap gap-3">
            <Radix.Cancel className="plain-button">{keep}</Radix.Cancel>
            <Radix.Action className="main-button" onClick={onAct}>
              {act}
            </Radix.Action>
          </div>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
