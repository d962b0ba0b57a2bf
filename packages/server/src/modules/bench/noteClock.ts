import { isBefore } from '@sardonyx/core';
import { look, type Workroom } from '../../workroom.ts';

/** Looks whether the machine's clock stands before the last entry of the log. */
export async function noteClock(room: Workroom): Promise<void> {
  const [last] = await look(room, (manager) =>
    manager.query<{ at: string }[]>('SELECT at FROM task_log ORDER BY seq DESC LIMIT 1'),
  );
  room.clockBehind = last && isBefore(room.now().toISOString(), last.at) ? last.at : null;
}
