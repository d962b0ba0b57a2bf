import type { NounPath } from '@sardonyx/contract';
import { useMemo } from 'react';
import { useAppSelector } from '../store.ts';

/** What was changed about a row and waits for the bench: it stands where it was typed until it is there. */
export function useWaiting(kind: NounPath, id: string): Readonly<Record<string, unknown>> {
  const unsent = useAppSelector((state) => state.edits.unsent);
  return useMemo(
    () =>
      Object.assign(
        {},
        ...unsent
          .filter((edit) => edit.act === 'change' && edit.kind === kind && edit.id === id)
          .map((edit) => edit.changes),
      ) as Record<string, unknown>,
    [unsent, kind, id],
  );
}
