import type { Response } from 'express';
import type { EntityManager } from 'typeorm';
import { look, type Kept, type Workroom } from '../workroom.ts';

/**
 * Sends an answer as it was sent last, unless something that it shows was written since, or the day has changed: what is due, or
 * has gone off, is said by the day.
 *
 * @param key the id of a job, or the name of a view over all
 */
export async function sendKept(
  room: Workroom,
  response: Response,
  where: Exclude<keyof Kept, 'lanes'>,
  key: string,
  read: (manager: EntityManager) => Promise<unknown>,
): Promise<void> {
  const day = room.now().toISOString().slice(0, 10);
  const kept = room.kept[where].get(key);
  const text =
    kept?.day === day
      ? kept.text
      : await look(room, async (manager) => {
          const made = Buffer.from(JSON.stringify(await read(manager)));
          room.kept[where].set(key, { day, text: made });
          return made;
        });
  response.set('Content-Type', 'application/json; charset=utf-8').end(text);
}
