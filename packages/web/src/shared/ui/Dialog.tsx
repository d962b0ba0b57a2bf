import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface DialogProps {
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly title: string;
  readonly children: ReactNode;
  readonly isWide?: boolean;
}

/** A sheet over the bench; Esc steps out, focus returns to where it was. */
export function Dialog({ isOpen, onClose, title, children, isWide = false }: DialogProps) {
  return (
    <Radix.Root open={isOpen} onOpenChange={(open) => !open && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-shade" />
        <Radix.Content
          aria-describedby={undefined}
          className="fixed top-20 left-1/2 z-50 max-h-[80vh] -translate-x-1/2 overflow-auto border border-strong-line bg-sheet p-5 text-ink"
          style={{ width: `min(92vw, ${isWide ? '54rem' : '36rem'})` }}
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <Radix.Title className="text-lead font-semibold">{title}</Radix.Title>
            <Radix.Close className="quiet-button">Close</Radix.Close>
          </div>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
