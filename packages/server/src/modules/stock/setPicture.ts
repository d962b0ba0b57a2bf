import { StockThingRow } from '../../entities/stock.ts';
import { change, withDisk, type Workroom } from '../../workroom.ts';
import { storePhoto } from '../photos/photoStore.ts';
import { findRow } from '../rows/versionedRows.ts';

/** A thing of a drawer gets a picture, in place of the one it had; null takes that away. It is on the disk before its row names it. */
export async function setPicture(room: Workroom, thingId: string, bytes: Buffer | null): Promise<StockThingRow> {
  await findRow(room.source.manager, StockThingRow, thingId, 'This thing');
  const stored = bytes && (await withDisk(room, () => storePhoto(room.folder, bytes)));
  return change(room, async (manager) => {
    const { id, version } = await findRow(manager, StockThingRow, thingId, 'This thing');
    await manager.update(StockThingRow, { id }, { pictureHash: stored?.hash ?? null, version: version + 1 });
    return findRow(manager, StockThingRow, id, 'This thing');
  });
}
