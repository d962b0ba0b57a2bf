import { useLayoutEffect } from 'react';

/** Of the body; everything else is so much larger with it. Read at 80 cm: a small x is then about 3 mm high. */
const LARGE_PX = 25;

/** Sets everything in type that is read from where the hands are. */
export function useLargeType(): void {
  useLayoutEffect(() => {
    const { style } = document.documentElement;
    const before = style.fontSize;
    style.fontSize = `${LARGE_PX}px`;
    return () => {
      style.fontSize = before;
    };
  }, []);
}
