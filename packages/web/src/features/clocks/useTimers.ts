import { useEffect, useState } from 'react';
import { useGetTimersQuery } from '../../shared/api/api.ts';
import { useAhead } from './useAhead.ts';

const POLL_MS = 4000;
const NONE: readonly never[] = [];

/** The clocks and the server's time, ticking here between two answers. */
export function useTimers() {
  const { data } = useGetTimersQuery(undefined, { pollingInterval: POLL_MS });
  const ahead = useAhead();
  const [here, setHere] = useState(() => Date.now());
  useEffect(() => {
    const ticking = setInterval(() => setHere(Date.now()), 500);
    return () => clearInterval(ticking);
  }, []);
  const [timers, nowMs] = [data?.timers ?? NONE, here + ahead];
  // The airing of the room ends by itself: nobody need silence it.
  const due = timers.filter(({ kind, endsAt }) => kind !== 'airing' && Date.parse(endsAt) <= nowMs);
  return { timers, due, hadClock: data?.hadClock ?? NONE, nowMs };
}
