import { useGetTimersQuery } from '../../shared/api/api.ts';

/** By how many milliseconds the server's clock is ahead of this machine's: 0 until it has answered. */
export function useAhead(): number {
  const { data, fulfilledTimeStamp } = useGetTimersQuery();
  return data && fulfilledTimeStamp ? Date.parse(data.now) - fulfilledTimeStamp : 0;
}
