/** Rows by a key, in their order. */
export function groupBy<T, Key>(rows: readonly T[], keyOf: (row: T) => Key): Map<Key, T[]> {
  const groups = new Map<Key, T[]>();
  for (const row of rows) {
    const group = groups.get(keyOf(row));
    if (group) group.push(row);
    else groups.set(keyOf(row), [row]);
  }
  return groups;
}
