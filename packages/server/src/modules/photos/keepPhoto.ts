import { randomUUID } from 'node:crypto';
import type { DescribePhoto } from '@sardonyx/contract';
import { JobRow } from '../../entities/work.ts';
import { PhotoRow } from '../../entities/photo.ts';
import { change, withDisk, type Workroom } from '../../workroom.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';
import { storePhoto } from './photoStore.ts';

/** Keeps a picture of a job that is open. It is on the disk before its row is. */
export async function keepPhoto(room: Workroom, description: DescribePhoto, bytes: Buffer): Promise<PhotoRow> {
  await findRow(room.source.manager, JobRow, description.jobId, 'This job');
  const stored = await withDisk(room, () => storePhoto(room.folder, bytes));
  return change(room, async (manager) => {
    await assertJobIsOpen(manager, description.jobId);
    // The same picture at the same place is sent once more by whoever did not get the answer.
    const same = await manager.findOneBy(PhotoRow, { ...description, hash: stored.hash });
    if (same) return same;
    const row = manager.create(PhotoRow, {
      id: randomUUID(),
      version: 1,
      ...description,
      ...stored,
      specimenId: null,
      control: null,
      takenAt: room.now().toISOString(),
    });
    await manager.insert(PhotoRow, row);
    return row;
  });
}
