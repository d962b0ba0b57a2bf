import { AlertDialog as Radix } from 'radix-ui';

interface AlertDialogProps {
  /** On the quiet button that asks; stands above the question too. */
  readonly offer: string;
  /** What goes, and what cannot be undone. */
  readonly warning: string;
  /** On the button that does it. */
  readonly act: string;
  readonly onAct: () => void;
}

/** Asks once more before what cannot be undone; Esc and the first button leave everything as it is. */
export function AlertDialog({ offer, warning, act, onAct }: AlertDialogProps) {
  return (
    <Radix.Root>
      <Radix.Trigger className="quiet-button">{offer}</Radix.Trigger>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-shade" />
        <Radix.Content className="fixed top-1/4 left-1/2 z-50 w-[min(92vw,32rem)] -translate-x-1/2 border-2 border-sard bg-sheet p-5 text-ink">
          <Radix.Title className="text-lead font-semibold">{offer}?</Radix.Title>
          <Radix.Description className="mt-2">{warning}</Radix.Description>
          <div className="mt-4 flex flex-wrap gap-3">
            <Radix.Cancel className="plain-button">Keep it</Radix.Cancel>
            <Radix.Action className="main-button" onClick={onAct}>
              {act}
            </Radix.Action>
          </div>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
