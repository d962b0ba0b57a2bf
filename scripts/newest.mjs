import { readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';

/** When the newest file under a path was changed, in ms; what was built from them does not count. */
export function newest(path) {
  const entry = statSync(path);
  if (!entry.isDirectory()) return entry.mtimeMs;
  return Math.max(
    0,
    ...readdirSync(path)
      .filter((name) => !name.startsWith('dist') && name !== 'node_modules')
      .map((name) => newest(join(path, name))),
  );
}
