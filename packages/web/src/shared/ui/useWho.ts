import { useSyncExternalStore } from 'react';

const KEY = 'sardonyx.who';
const listeners = new Set<() => void>();

function setWho(name: string): void {
  localStorage.setItem(KEY, name);
  for (const listener of listeners) listener();
}

/** Who stands at the bench in this window; goes into every log entry. */
export function useWho(): [string, (name: string) => void] {
  const who = useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => localStorage.getItem(KEY) ?? '',
  );
  return [who, setWho];
}
