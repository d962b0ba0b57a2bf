import { useEffect, useRef, type ReactNode } from 'react';
import { HoldFilling } from '../../shared/ui/HoldFilling.tsx';
import { useHold } from '../../shared/ui/useHold.ts';
import { takesLetters } from '../../shared/ui/singleKeys.ts';

/** So long after it came up a press is the last one's: a pedal bounces, a hand is still on its way. */
const BOUNCE_MS = 500;
/** What pedals send. */
const PEDAL_KEYS = [' ', 'PageDown'];

interface OnePressProps {
  readonly isHeld: boolean;
  readonly disabled: boolean;
  readonly onPress: () => void;
  readonly children: ReactNode;
}

/** The one press of the screen: by hand, by Space or by a pedal, wherever the focus is but in a field or on another button. */
export function OnePress({ isHeld: mustHold, disabled, onPress, children }: OnePressProps) {
  const button = useRef<HTMLButtonElement>(null);
  const cameUp = useRef(0);
  useEffect(() => {
    cameUp.current = performance.now();
  }, []);
  const press = () => {
    if (!disabled && performance.now() - cameUp.current >= BOUNCE_MS) onPress();
  };
  const { isHeld, begin, end } = useHold(onPress, disabled);
  const latest = useRef({ press, begin, end });
  useEffect(() => {
    latest.current = { press, begin, end };
  });
  useEffect(() => {
    const isOther = (target: EventTarget | null) =>
      takesLetters(target) ||
      (target instanceof Element && target !== button.current && target.closest('button, a, [role="dialog"]') !== null);
    const onDown = (event: KeyboardEvent) => {
      if (!PEDAL_KEYS.includes(event.key) || isOther(event.target)) return;
      event.preventDefault();
      // A key that is still down from the last step begins nothing.
      if (event.repeat) return;
      if (mustHold) latest.current.begin();
      else latest.current.press();
    };
    const onUp = (event: KeyboardEvent) => {
      if (!PEDAL_KEYS.includes(event.key)) return;
      // The browser would press the button itself when the key comes up.
      if (event.target === button.current) event.preventDefault();
      latest.current.end();
    };
    window.addEventListener('keydown', onDown);
    window.addEventListener('keyup', onUp);
    return () => {
      window.removeEventListener('keydown', onDown);
      window.removeEventListener('keyup', onUp);
    };
  }, [mustHold]);
  const hold = mustHold
    ? { onPointerDown: begin, onPointerUp: end, onPointerLeave: end, onPointerCancel: end, onBlur: end }
    : { onClick: press };
  return (
    <button
      ref={button}
      type="button"
      disabled={disabled}
      data-press
      className={`relative min-h-16 min-w-0 grow touch-none overflow-hidden px-5 py-2 text-left text-act font-semibold select-none disabled:opacity-60 ${
        mustHold ? 'border-4 border-sard bg-sheet text-ink' : 'bg-sard text-on-sard'
      }`}
      onContextMenu={(event) => event.preventDefault()}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || event.repeat) return;
        event.preventDefault();
        if (mustHold) begin();
        else press();
      }}
      onKeyUp={(event) => {
        if (event.key === 'Enter') end();
      }}
      {...hold}
    >
      <HoldFilling isHeld={isHeld} />
      <span className="relative">
        {children}
        <span className="block text-note font-normal">
          {mustHold ? (isHeld ? 'Keep holding ...' : 'Hold it, or Space, for 1.5 seconds') : 'Space, or a pedal'}
        </span>
      </span>
    </button>
  );
}
