import { ScrollArea as Radix } from 'radix-ui';
import type { ReactNode, Ref } from 'react';

interface ScrollAreaProps {
  readonly label: string;
  readonly children: ReactNode;
  readonly className?: string;
  /** The part that scrolls. */
  readonly viewport?: Ref<HTMLDivElement>;
}

/** A part of the page that scrolls by itself; reached by Tab, moved with the arrow keys. */
export function ScrollArea({ label, children, className = '', viewport }: ScrollAreaProps) {
  return (
    <Radix.Root type="auto" className={`relative overflow-hidden ${className}`}>
      <Radix.Viewport ref={viewport} tabIndex={0} role="region" aria-label={label} className="size-full">
        {children}
      </Radix.Viewport>
      {(['vertical', 'horizontal'] as const).map((way) => (
        <Radix.Scrollbar key={way} orientation={way} className={way === 'vertical' ? 'flex w-3' : 'flex h-3 flex-col'}>
          <Radix.Thumb className="grow bg-strong-line" />
        </Radix.Scrollbar>
      ))}
    </Radix.Root>
  );
}
