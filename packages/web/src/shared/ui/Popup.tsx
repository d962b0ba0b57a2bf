import { Popover } from 'radix-ui';
import type { ReactElement, ReactNode } from 'react';

interface PopupProps {
  /** The button that opens it. */
  readonly trigger: ReactElement;
  /** What is in it, for those who cannot see it. */
  readonly label: string;
  readonly align: 'start' | 'end';
  readonly width?: string;
  readonly isOpen?: boolean;
  readonly onOpen?: (isOpen: boolean) => void;
  readonly children: ReactNode;
}

/** A small sheet that hangs on its button; a press outside or Esc puts it away, and the focus goes back. */
export function Popup({ trigger, label, align, width, isOpen, onOpen, children }: PopupProps) {
  const controlled = isOpen === undefined ? {} : { open: isOpen };
  return (
    <Popover.Root {...controlled} {...(onOpen ? { onOpenChange: onOpen } : {})}>
      <Popover.Trigger asChild>{trigger}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align={align}
          sideOffset={2}
          aria-label={label}
          style={width ? { width } : undefined}
          className="z-60 border border-ink bg-sheet text-ink"
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
