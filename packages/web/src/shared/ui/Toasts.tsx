import { Toast as Radix } from 'radix-ui';
import { CloseIcon } from './icons.ts';
import type { Toast } from './toastsSlice.ts';

const SHOWN_MS = 6000;

interface ToastsProps {
  readonly shown: readonly Toast[];
  readonly onClose: (id: number) => void;
}

/** Above the clock shelf, the newest last; F8 goes there. */
export function Toasts({ shown, onClose }: ToastsProps) {
  return (
    <Radix.Provider duration={SHOWN_MS} swipeDirection="right" label="News">
      {shown.map(({ id, text }) => (
        <Radix.Root
          key={id}
          className="flex items-center gap-3 border border-ink bg-sheet py-1 pr-1 pl-4 text-ink"
          onOpenChange={(open) => !open && onClose(id)}
        >
          <Radix.Description className="grow">{text}</Radix.Description>
          <Radix.Close className="inline-flex size-11 items-center justify-center" aria-label="Close">
            <CloseIcon aria-hidden size={18} />
          </Radix.Close>
        </Radix.Root>
      ))}
      <Radix.Viewport className="fixed right-4 bottom-16 z-60 flex w-[min(92vw,24rem)] flex-col gap-2" />
    </Radix.Provider>
  );
}
