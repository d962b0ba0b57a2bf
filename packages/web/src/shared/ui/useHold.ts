import { useCallback, useEffect, useRef, useState } from 'react';

export const HOLD_MS = 1500;

/** What works only when held for 1.5 s; letting go earlier does nothing. */
export function useHold(onHeld: () => void, disabled: boolean) {
  const [isHeld, setHeld] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const held = useRef(onHeld);
  useEffect(() => {
    held.current = onHeld;
  });
  const end = useCallback(() => {
    clearTimeout(timer.current);
    timer.current = undefined;
    setHeld(false);
  }, []);
  const begin = useCallback(() => {
    if (disabled || timer.current) return;
    setHeld(true);
    timer.current = setTimeout(() => {
      end();
      held.current();
    }, HOLD_MS);
  }, [disabled, end]);
  useEffect(() => end, [end]);
  return { isHeld, begin, end };
}
