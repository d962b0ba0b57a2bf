import { useEffect, useState } from 'react';
import { useGetTimersQuery } from '../../shared/api/api.ts';

const STEP_MS = 15_000;

/** The server's time in steps of a quarter of a minute: for what becomes ready by waiting, not for a clock face. */
export function useNow(): Date {
  const { data, fulfilledTimeStamp } = useGetTimersQuery();
  const [here, setHere] = useState(() => Date.now());
  useEffect(() => {
    const ticking = setInterval(() => setHere(Date.now()), STEP_MS);
    return () => clearInterval(ticking);
  }, []);
  const ahead = data && fulfilledTimeStamp ? Date.parse(data.now) - fulfilledTimeStamp : 0;
  return new Date(here + ahead);
}
