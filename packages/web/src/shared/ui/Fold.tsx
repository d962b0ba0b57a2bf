import { Collapsible as Radix } from 'radix-ui';
import { useState, type ReactNode } from 'react';
import { RightIcon } from './icons.ts';

interface FoldProps {
  readonly title: ReactNode;
  readonly children: ReactNode;
  /** How it stands until somebody presses it. */
  readonly isOpen?: boolean;
  readonly className?: string;
  readonly titleClass?: string;
}

/** What is not needed at once: folded to its title. What was typed in it stays while it is folded. */
export function Fold({ title, children, isOpen = false, className = '', titleClass = '' }: FoldProps) {
  const [pressed, setPressed] = useState<boolean | null>(null);
  const open = pressed ?? isOpen;
  return (
    <Radix.Root open={open} onOpenChange={setPressed} className={className} data-fold>
      <Radix.Trigger className={`flex min-h-9 items-start gap-1 py-1 text-left ${titleClass}`}>
        <RightIcon aria-hidden size={18} className={`mt-0.5 shrink-0 ${open ? 'rotate-90' : ''}`} />
        <span>{title}</span>
      </Radix.Trigger>
      <Radix.Content forceMount className="data-[state=closed]:hidden">
        {children}
      </Radix.Content>
    </Radix.Root>
  );
}
