import { existsSync } from 'node:fs';
import { mkdir, mkdtemp, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { ArchiveReport } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import type { Hands } from '../../aside/asideTask.ts';
import { DRAFT_PREFIX, PHOTO_FOLDER } from '../../disk/folderNames.ts';
import { syncFolder } from '../../disk/writeDurably.ts';
import { photoPath, thumbnailPath, writeThumbnail } from '../photos/photoStore.ts';
import { checkRows } from './checkRows.ts';
import { planTake, type TakePlan } from './planTake.ts';
import { readBag } from './readBag.ts';
import { refuseArchive } from './refuseArchive.ts';
import { insertRows } from './storedRows.ts';

export interface TakeOrder {
  readonly folder: string;
  /** The ZIP, in the folder of the bench. */
  readonly path: string;
  readonly isOnlyLook: boolean;
}

/**
 * Looks at an archive of jobs, or takes it in: every file against its checksum, every row against the tables of this version, and
 * against what is here. All or nothing: what was unpacked is gone again where it is refused.
 */
export async function takeArchive({ folder, path, isOnlyLook }: TakeOrder, hands: Hands): Promise<ArchiveReport> {
  const draft = await mkdtemp(join(folder, DRAFT_PREFIX));
  const brought: string[] = [];
  try {
    const { rows, pictures } = await readBag(path, draft);
    hands.goOn();
    const tables = await checkRows(rows, draft);
    hands.goOn();
    if (isOnlyLook) return report(await hands.look((manager) => planTake(manager, tables)), rows.missing.length, false);
    // Before the rows that name them: a picture that nothing names is swept away, a row without its picture is a loss.
    await mkdir(join(folder, PHOTO_FOLDER), { recursive: true });
    for (const hash of pictures) {
      hands.goOn();
      if (existsSync(photoPath(folder, hash))) continue;
      brought.push(hash);
      // It was synced when it was unpacked.
      await rename(join(draft, PHOTO_FOLDER, `${hash}.jpg`), photoPath(folder, hash));
      await writeThumbnail(folder, hash, photoPath(folder, hash));
    }
    await syncFolder(join(folder, PHOTO_FOLDER));
    const plan = await hands.change((manager) => write(manager, tables));
    return report(plan, rows.missing.length, true);
  } catch (error) {
    for (const hash of brought)
      for (const file of [photoPath(folder, hash), thumbnailPath(folder, hash)]) await rm(file, { force: true });
    throw error;
  } finally {
    await rm(draft, { recursive: true, force: true });
  }
}

async function write(manager: EntityManager, tables: Parameters<typeof planTake>[1]): Promise<TakePlan> {
  const plan = await planTake(manager, tables);
  // What they name may come after them.
  await manager.query('PRAGMA defer_foreign_keys = ON');
  try {
    for (const [table, rows] of plan.insert) await insertRows(manager, table, rows);
  } catch (error) {
    const [, what] = /UNIQUE constraint failed: (\S+)/.exec(String(error)) ?? [];
    if (what) throw refuseArchive(`this bench has the same under another name already (${what})`);
    throw error;
  }
  const [loose] = await manager.query<{ table: string }[]>('PRAGMA foreign_key_check');
  if (loose) throw refuseArchive(`a row of ${loose.table} in it names one that is not here`);
  return plan;
}

const report = ({ insert, jobs, kept, stock }: TakePlan, missingPictures: number, isTaken: boolean): ArchiveReport => ({
  ...{ isTaken, jobs, kept, stock, missingPictures },
  rows: insert.reduce((sum, [, rows]) => sum + rows.length, 0),
});
