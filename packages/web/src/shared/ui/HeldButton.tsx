import type { ReactNode } from 'react';
import { HoldFilling } from './HoldFilling.tsx';
import { useHold } from './useHold.ts';

interface HeldButtonProps {
  readonly children: ReactNode;
  readonly onHeld: () => void;
  readonly disabled?: boolean;
}

/** For what cannot be undone: works only when held for 1.5 s, by pointer or by Space or Enter. Letting go earlier does nothing. */
export function HeldButton({ children, onHeld, disabled = false }: HeldButtonProps) {
  const { isHeld, begin, end } = useHold(onHeld, disabled);
  return (
    <button
      type="button"
      disabled={disabled}
      className="relative min-h-16 touch-none overflow-hidden border-2 border-sard bg-sheet px-4 text-left font-semibold text-ink select-none disabled:border-hairline disabled:text-soft-ink"
      onPointerDown={begin}
      onPointerUp={end}
      onPointerLeave={end}
      onPointerCancel={end}
      onKeyDown={(event) => {
        if (event.key !== ' ' && event.key !== 'Enter') return;
        event.preventDefault();
        begin();
      }}
      onKeyUp={end}
      onBlur={end}
      onContextMenu={(event) => event.preventDefault()}
    >
      <HoldFilling isHeld={isHeld} />
      <span className="relative">
        {children}
        <span className="block text-note font-normal text-soft-ink">
          {isHeld ? 'Keep holding ...' : 'Hold for 1.5 seconds'}
        </span>
      </span>
    </button>
  );
}
