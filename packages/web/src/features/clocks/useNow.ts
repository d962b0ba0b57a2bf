import { useEffect, useState } from 'react';
import { useAhead } from './useAhead.ts';

const STEP_MS = 15_000;

/** The server's time in steps of a quarter of a minute: for what becomes ready by waiting, not for what is logged. */
export function useNow(): Date {
  const ahead = useAhead();
  const [here, setHere] = useState(() => Date.now());
  useEffect(() => {
    const ticking = setInterval(() => setHere(Date.now()), STEP_MS);
    return () => clearInterval(ticking);
  }, []);
  return new Date(here + ahead);
}
