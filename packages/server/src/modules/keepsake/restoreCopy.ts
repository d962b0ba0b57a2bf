import { existsSync } from 'node:fs';
import { copyFile, mkdtemp, open, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { COPY_FOLDER, DATABASE_FILE, DRAFT_PREFIX } from '../../disk/folderNames.ts';
import { listCopies } from '../../disk/keepCopies.ts';
import { notFound } from '../../http/errors.ts';
import { withDisk, type Workroom } from '../../workroom.ts';
import { photoPath } from '../photos/photoStore.ts';
import { checkDatabase } from './checkDatabase.ts';
import { swapIn } from './restoreEverything.ts';

/** Puts a copy of an earlier day in place of the database; photographs stay where they are. What was there is kept. */
export async function restoreCopy(room: Workroom, name: string): Promise<string> {
  const copies = await listCopies(room.folder);
  if (!copies.some((copy) => copy.name === name)) throw notFound('This copy');
  return withDisk(room, async () => {
    const draft = await mkdtemp(join(room.folder, DRAFT_PREFIX));
    try {
      const database = join(draft, DATABASE_FILE);
      await copyFile(join(room.folder, COPY_FOLDER, name), database);
      await checkDatabase(database, (hash) => existsSync(photoPath(room.folder, hash)));
      const file = await open(database, 'r+');
      await file.sync().finally(() => file.close());
      return await swapIn(room, draft, false, () => false);
    } finally {
      await rm(draft, { recursive: true, force: true });
    }
  });
}
