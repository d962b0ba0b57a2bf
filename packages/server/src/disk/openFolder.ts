import { mkdir } from 'node:fs/promises';
import type { DataSource } from 'typeorm';
import { openDatabase } from '../data-source.ts';
import { MIGRATIONS } from '../migrations/index.ts';
import { FolderError } from './folderError.ts';
import { inspectFolder } from './inspectFolder.ts';
import { keepCopy, keepDailyCopy } from './keepCopies.ts';
import { lockFolder, type FolderLock } from './lockFolder.ts';
import { finishSwap } from './swapFolder.ts';
import { sweepFolder } from './sweepFolder.ts';

export interface OpenedFolder {
  readonly source: DataSource;
  readonly lock: FolderLock;
  /** What was done that its owner should know of, in sentences. */
  readonly news: readonly string[];
}

/**
 * Opens the folder of a bench: locked against a second server, a swap that was interrupted finished, looked at before it is
 * touched, copied before it is upgraded and once a day, swept.
 *
 * Throws FolderError with what to do where it cannot be opened.
 */
export async function openFolder(folder: string, now: Date): Promise<OpenedFolder> {
  await mkdir(folder, { recursive: true }).catch((error: NodeJS.ErrnoException) => {
    throw new FolderError(
      error.code === 'EEXIST'
        ? `${folder} is a file. A bench is kept in a folder: name one (SARDONYX_DATA).`
        : `${folder} cannot be made (${error.code}). Name another folder for the bench (SARDONYX_DATA).`,
    );
  });
  const names = MIGRATIONS.map(({ name }) => name);
  const news: string[] = [];
  const lock = lockFolder(folder);
  try {
    if (await finishSwap(folder)) news.push('A restore that was interrupted was finished.');
    const { isNew, pending } = await inspectFolder(folder, names);
    if (!isNew && pending.length) {
      await keepCopy(folder, 'before an upgrade', now).catch((error: Error) => {
        throw new FolderError(
          `The bench in ${folder} must be brought up to date and could not be copied before (${error.message}). Nothing was touched. Free some space and start again.`,
        );
      });
      news.push('The bench was copied before it was brought up to date.');
    }
    const source = await openDatabase(folder);
    // A disk that takes neither must not keep the bench from being read.
    await tidy(folder, now, isNew, news).catch((error: Error) => news.push(`Not swept, not copied: ${error.message}.`));
    return { source, lock, news };
  } catch (error) {
    lock.release();
    throw error;
  }
}

async function tidy(folder: string, now: Date, isNew: boolean, news: string[]): Promise<void> {
  const swept = await sweepFolder(folder, now);
  if (swept) news.push(`${swept} ${swept === 1 ? 'leftover was' : 'leftovers were'} moved to the folder leftovers.`);
  if (!isNew && (await keepDailyCopy(folder, now))) news.push('The copy of this day was made.');
}
