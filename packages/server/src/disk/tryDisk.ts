import { HouseStyleRow } from '../entities/house.ts';
import { change, type Workroom } from '../workroom.ts';

/** While a disk is in trouble it is tried again at most so often. */
const BETWEEN_MS = 2000;
const lastTried = new WeakMap<Workroom, number>();

/** After a write that failed: writes what is there already, to see whether the disk takes it again. */
export async function tryDisk(room: Workroom): Promise<void> {
  const now = performance.now();
  if (!room.trouble || now - (lastTried.get(room) ?? -BETWEEN_MS) < BETWEEN_MS) return;
  lastTried.set(room, now);
  await change(
    room,
    (manager) => manager.update(HouseStyleRow, { id: 'house' }, { version: () => 'version' }),
    () => [],
  ).catch(() => undefined);
}
