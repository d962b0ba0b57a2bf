import type { DiskTrouble } from '@sardonyx/contract';
import { readDriverCode, UnsoundConnectionError } from './runTransaction.ts';

type Kind = DiskTrouble['kind'];

const WORDS: Readonly<Record<Kind, string>> = {
  full: 'The disk is full: nothing of this was saved. What you typed is kept here; free some space and it goes on.',
  'read-only':
    'The folder of this bench cannot be written to: nothing of this was saved. Look whether the disk is write-protected or belongs to somebody else.',
  locked:
    'Another program holds the database of this bench: nothing of this was saved. Close it; what you typed is kept here.',
  damaged:
    'The database of this bench is damaged: nothing of this was saved. Leave its folder as it is and restore a copy of an earlier day.',
  failing:
    'The disk did not take what was written: nothing of this was saved. What you typed is kept here; look after the disk.',
};

const BY_CODE: readonly (readonly [RegExp, Kind])[] = [
  [/^(SQLITE_FULL|ENOSPC|EDQUOT)/, 'full'],
  [/^(SQLITE_READONLY|SQLITE_PERM|EROFS|EACCES|EPERM)/, 'read-only'],
  [/^SQLITE_(BUSY|LOCKED)/, 'locked'],
  [/^SQLITE_(CORRUPT|NOTADB)/, 'damaged'],
  [/^(SQLITE_IOERR|SQLITE_CANTOPEN|EIO|EMFILE|ENFILE)/, 'failing'],
];

/** What a failed write says of the disk; null where the disk has nothing to do with it. */
export function readDiskTrouble(error: unknown, now: Date): DiskTrouble | null {
  const code = readDriverCode(error);
  const kind =
    error instanceof UnsoundConnectionError
      ? 'failing'
      : code === null
        ? undefined
        : BY_CODE.find(([pattern]) => pattern.test(code))?.[1];
  return kind ? { kind, message: WORDS[kind], since: now.toISOString() } : null;
}
