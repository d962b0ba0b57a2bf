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
}

/** Runs a change in one transaction and forgets what was sent before. Changes are queued: the driver has one connection. */
export async function change<T>(room: Workroom, act: (manager: EntityManager) => Promise<T>): Promise<T> {
  const waitFor = queues.get(room) ?? Promise.resolve();
  const result = waitFor.then(() => room.source.transaction(act));
  queues.set(
    room,
    result.catch(() => undefined),
  );
  try {
    return await result;
  } finally {
    room.sentJobs.clear();
  }
}

const queues = new WeakMap<Workroom, Promise<unknown>>();
