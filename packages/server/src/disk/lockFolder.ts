import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { FolderError } from './folderError.ts';
import { readDriverCode } from './runTransaction.ts';

const LOCK_FILE = 'open.lock';
/** Says where the bench is open, for the one that comes second. */
const OPEN_FILE = 'open.json';

export interface FolderLock {
  /** Where the bench can be reached now. */
  tell(address: string): void;
  release(): void;
}

/**
 * One server a folder. The lock is SQLite's own on a file beside the database: the system lets go of it with the process that
 * holds it, however that ends.
 */
export function lockFolder(folder: string): FolderLock {
  const lock = new Database(join(folder, LOCK_FILE), { timeout: 0 });
  try {
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    if (!readDriverCode(error)?.startsWith('SQLITE_BUSY')) throw error;
    const address = readAddress(folder);
    throw new FolderError(
      `The bench in ${folder} is open already${address ? ` at ${address}` : ''}. Use that one, or end it first; SARDONYX_DATA names another folder.`,
    );
  }
  return {
    tell: (address) => writeFileSync(join(folder, OPEN_FILE), JSON.stringify({ address, pid: process.pid })),
    release: () => void lock.close(),
  };
}

function readAddress(folder: string): string | null {
  try {
    const { address } = JSON.parse(readFileSync(join(folder, OPEN_FILE), 'utf8')) as { address?: unknown };
    return typeof address === 'string' ? address : null;
  } catch {
    return null;
  }
}
