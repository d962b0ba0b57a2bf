import { isSame } from '../api/keepNoNumber.ts';

/** What to do with a save whose row somebody else changed first. */
export type MergeOutcome =
  { readonly kind: 'send again' } | { readonly kind: 'conflict'; readonly fields: readonly string[] };

/**
 * Compares the row as it was when the edit began with the row as it stands now. Fields that only one side touched do not
 * overlap: the change can be sent again on the new version. Fields that both touched, differently, are a conflict.
 */
export function mergeStale(
  before: Readonly<Record<string, unknown>>,
  changes: Readonly<Record<string, unknown>>,
  current: Readonly<Record<string, unknown>>,
): MergeOutcome {
  const fields = Object.keys(changes).filter(
    (field) => !isSame(before[field], current[field]) && !isSame(changes[field], current[field]),
  );
  return fields.length ? { kind: 'conflict', fields } : { kind: 'send again' };
}
