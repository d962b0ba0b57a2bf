import { existsSync } from 'node:fs';
import { mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import type { KeptCopy } from '@sardonyx/contract';
import { backupDatabase } from './backupDatabase.ts';
import { COPY_FOLDER } from './folderNames.ts';
import { syncFolder } from './writeDurably.ts';

type Reason = KeptCopy['reason'];

/** So many of each are kept; the oldest go first. */
const MOST: Readonly<Record<Reason, number>> = { 'a day': 7, 'before an upgrade': 3 };
const WORDS: Readonly<Record<Reason, string>> = { 'a day': 'day', 'before an upgrade': 'before-upgrade' };
const COPY_NAME = /^(\d{4}-\d{2}-\d{2}T\d{2}-\d{2}-\d{2})-(day|before-upgrade)\.db$/;

/** The copies of a bench's database, the latest first. Photographs never change and lie beside them. */
export async function listCopies(folder: string): Promise<KeptCopy[]> {
  const names = existsSync(join(folder, COPY_FOLDER)) ? await readdir(join(folder, COPY_FOLDER)) : [];
  const copies = names.sort().flatMap((name) => {
    const [, at, word] = COPY_NAME.exec(name) ?? [];
    if (!at) return [];
    const reason: Reason = word === WORDS['a day'] ? 'a day' : 'before an upgrade';
    return [{ name, reason, madeAt: `${at.slice(0, 10)}T${at.slice(11).replaceAll('-', ':')}.000Z` }];
  });
  const withSizes = copies.map(async (copy) => ({
    ...copy,
    bytes: (await stat(join(folder, COPY_FOLDER, copy.name))).size,
  }));
  return (await Promise.all(withSizes)).reverse();
}

/** Copies the database as it stands, while it is written to, too; whole and synced, or not at all. Old copies go. */
export async function keepCopy(folder: string, reason: Reason, now: Date): Promise<void> {
  const copies = join(folder, COPY_FOLDER);
  await mkdir(copies, { recursive: true });
  const name = `${now.toISOString().slice(0, 19).replaceAll(':', '-')}-${WORDS[reason]}.db`;
  const draft = join(copies, `${name}.part`);
  try {
    await backupDatabase(folder, draft);
    await rename(draft, join(copies, name));
    await syncFolder(copies);
  } catch (error) {
    await rm(draft, { force: true }).catch(() => undefined);
    throw error;
  }
  const old = (await listCopies(folder)).filter((copy) => copy.reason === reason).slice(MOST[reason]);
  for (const copy of old) await rm(join(copies, copy.name));
}

/** The day's copy, where there is none of this day (UTC) yet; whether one was made. */
export async function keepDailyCopy(folder: string, now: Date): Promise<boolean> {
  const today = now.toISOString().slice(0, 10);
  const isThere = (await listCopies(folder)).some((copy) => copy.reason === 'a day' && copy.madeAt.startsWith(today));
  if (!isThere) await keepCopy(folder, 'a day', now);
  return !isThere;
}
