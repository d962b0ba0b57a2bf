import type { Logger } from 'pino';
import type { EntityManager, DataSource } from 'typeorm';

/** What the routes work with. Time comes from here and nowhere else. */
export interface Workroom {
  /** The open database; restoring replaces it. */
  source: DataSource;
  readonly folder: string;
  readonly benchName: string;
  readonly isDemo: boolean;
  readonly now: () => Date;
  /** Job views as sent, kept until anything is written. */
  readonly sentJobs: Map<string, Buffer>;
  readonly log: Logger;
}

/** The driver has one connection: what reads several tables or writes waits for its turn, so nobody sees half a change. */
export async function inTurn<T>(room: Workroom, act: () => Promise<T>): Promise<T> {
  const waitFor = queues.get(room) ?? Promise.resolve();
  const result = waitFor.then(act);
  queues.set(
    room,
    result.catch(() => undefined),
  );
  return result;
}

const queues = new WeakMap<Workroom, Promise<unknown>>();

/** Reads from one moment. */
export function look<T>(room: Workroom, act: (manager: EntityManager) => Promise<T>): Promise<T> {
  return inTurn(room, () => act(room.source.manager));
}

/** The jobs whose view a change makes stale. */
export type TouchedJobs = 'all' | readonly (string | null)[];

/** Runs a change in one transaction and forgets what was sent before of the jobs that it touches; a clock touches none. */
export function change<T>(
  room: Workroom,
  act: (manager: EntityManager) => Promise<T>,
  touches: (result: T) => TouchedJobs = () => 'all',
): Promise<T> {
  return inTurn(room, async () => {
    let touched: TouchedJobs = 'all';
    try {
      const result = await room.source.transaction(act);
      touched = touches(result);
      return result;
    } finally {
      if (touched === 'all') room.sentJobs.clear();
      else for (const id of touched) if (id) room.sentJobs.delete(id);
    }
  });
}
