import { useEffect, useRef } from 'react';
import { api, useGetPhoneDoorQuery } from '../../shared/api/api.ts';
import { useAppDispatch } from '../../shared/store.ts';

/** While phones are let in it is asked so often what they did. */
const EVERY_MS = 2500;

/** How the door for phones stands; what phones do is shown as soon as it is known of. */
export function usePhoneDoor() {
  const { data } = useGetPhoneDoorQuery();
  const isOpen = typeof data?.pin === 'string';
  useGetPhoneDoorQuery(undefined, { pollingInterval: isOpen ? EVERY_MS : 0 });
  const dispatch = useAppDispatch();
  const seen = useRef<number | null>(null);
  const acts = data?.acts ?? null;
  useEffect(() => {
    if (seen.current !== null && acts !== null && acts !== seen.current)
      dispatch(api.util.invalidateTags(['Job', 'Bench', 'Timers', 'Workshop']));
    seen.current = acts;
  }, [acts, dispatch]);
  return data;
}
