import { useEffect, useRef, type RefObject } from 'react';

/** While it stands, nothing around it can be reached: what is hidden from a screen reader must not take the focus either. */
export function useAlone<E extends HTMLElement>(): RefObject<E | null> {
  const own = useRef<E>(null);
  useEffect(() => {
    const others = [...document.body.children].filter(
      (one): one is HTMLElement => one instanceof HTMLElement && !one.contains(own.current) && !one.inert,
    );
    for (const one of others) one.inert = true;
    return () => {
      for (const one of others) one.inert = false;
    };
  }, []);
  return own;
}
