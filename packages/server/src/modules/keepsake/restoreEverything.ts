import { mkdtemp, rm } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { openDatabase } from '../../data-source.ts';
import { DATABASE_FILE, DRAFT_PREFIX } from '../../disk/folderNames.ts';
import { planSwap, swapFolder } from '../../disk/swapFolder.ts';
import { alone, forget, withDisk, type Workroom } from '../../workroom.ts';
import { checkDatabase } from './checkDatabase.ts';
import { photoEntry } from './manifest.ts';
import { refuseSave } from './refuseSave.ts';
import { unpackSaved } from './unpackSaved.ts';

/**
 * Puts a saved ZIP in place of what is there. Everything is checked first: manifest, sizes, hashes, the database itself, and a
 * file for every photo. What was there before is kept in a folder of its own, whose name is returned.
 *
 * @param isGone whoever asked for it left meanwhile: nothing is replaced then
 */
export function restoreEverything(room: Workroom, zipPath: string, isGone: () => boolean): Promise<string> {
  return withDisk(room, async () => {
    const draft = await mkdtemp(join(room.folder, DRAFT_PREFIX));
    try {
      const { files, missing = [] } = await unpackSaved(zipPath, draft);
      await checkDatabase(join(draft, DATABASE_FILE), (hash) => photoEntry(hash) in files || missing.includes(hash));
      return await swapIn(room, draft, true, isGone);
    } finally {
      await rm(draft, { recursive: true, force: true });
    }
  });
}

/**
 * Puts a checked draft in its place, when it is its turn. The old bench is kept in a folder of its own, whose name is returned.
 * What the disk interrupts is finished when the bench is asked next (workroom), or at the next start.
 */
export function swapIn(room: Workroom, draft: string, withPhotos: boolean, isGone: () => boolean): Promise<string> {
  return alone(room, () =>
    withDisk(room, async () => {
      if (isGone()) throw refuseSave('it was ended');
      const kept = `before-restore-${room.now().toISOString().replace(/[:.]/g, '-')}`;
      await room.source.destroy();
      await swapFolder(room.folder, planSwap(basename(draft), kept, withPhotos));
      room.source = await openDatabase(room.folder);
      forget(room, 'all');
      return kept;
    }),
  );
}
