import { randomUUID } from 'node:crypto';
import { mkdir, open, rename, rm } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';

/** Name of a file that is still being written. */
export const DRAFT_NAME = /\.part$/;

/**
 * Writes a file so that it is whole or not there, power cut or not: beside its place, synced, renamed, and the folder synced.
 * What was there before is replaced.
 */
export async function writeDurably(path: string, bytes: Uint8Array): Promise<void> {
  const folder = dirname(path);
  await mkdir(folder, { recursive: true });
  // The same file may be written twice at once.
  const draft = join(folder, `${basename(path)}.${randomUUID()}.part`);
  try {
    const file = await open(draft, 'w');
    try {
      await file.writeFile(bytes);
      await file.sync();
    } finally {
      await file.close();
    }
    await rename(draft, path);
  } catch (error) {
    await rm(draft, { force: true }).catch(() => undefined);
    throw error;
  }
  await syncFolder(folder);
}

/** What was renamed into a folder stays there after a power cut. Systems that cannot sync folders do it by themselves. */
export async function syncFolder(folder: string): Promise<void> {
  const handle = await open(folder, 'r').catch(() => null);
  if (!handle) return;
  try {
    await handle.sync();
  } catch (error) {
    if (!['EINVAL', 'EPERM', 'EISDIR', 'ENOTSUP'].includes((error as NodeJS.ErrnoException).code ?? '')) throw error;
  } finally {
    await handle.close();
  }
}
