import type { DiskTrouble } from '@sardonyx/contract';
import type { Logger } from 'pino';
import type { DataSource, EntityManager } from 'typeorm';
import { reopenDatabase } from './data-source.ts';
import { countAct } from './disk/countAct.ts';
import { readDiskTrouble } from './disk/diskTrouble.ts';
import { isSound, runTransaction } from './disk/runTransaction.ts';
import { finishSwap } from './disk/swapFolder.ts';
import { HttpError } from './http/errors.ts';
import type { LaneRows } from './modules/bench/laneRows.ts';

/** An answer as it was sent, and the day on which. */
export interface SentAnswer {
  readonly day: string;
  readonly text: Buffer;
}

/** What was read before, kept until anything that it shows is written. */
export interface Kept {
  readonly jobs: Map<string, SentAnswer>;
  /** Views over all jobs, by name. */
  readonly views: Map<string, SentAnswer>;
  /** What was read of each open job for its lane on the bench. */
  readonly lanes: Map<string, LaneRows>;
}

export const keepNothing = (): Kept => ({ jobs: new Map(), views: new Map(), lanes: new Map() });

/** What the routes work with. Time comes from here and nowhere else. */
export interface Workroom {
  /** The open database; restoring replaces it, and so does a write that left it unsound. */
  source: DataSource;
  readonly folder: string;
  readonly benchName: string;
  readonly isDemo: boolean;
  readonly now: () => Date;
  readonly kept: Kept;
  readonly log: Logger;
  /** Why the last write did not reach the disk; null since one did. */
  trouble: DiskTrouble | null;
  /** The hour of the log's last entry while the clock stands before it. */
  clockBehind: string | null;
}

type Queue = WeakMap<Workroom, Promise<unknown>>;

/** The driver has one connection: what reads several tables or writes waits for its turn, so nobody sees half a change. */
const connection: Queue = new WeakMap();
/** One writes at a time: over this connection, or over that of the thread beside. */
const writers: Queue = new WeakMap();

async function inTurn<T>(queue: Queue, room: Workroom, act: () => Promise<T>): Promise<T> {
  const result = (queue.get(room) ?? Promise.resolve()).then(act);
  queue.set(
    room,
    result.catch(() => undefined),
  );
  return result;
}

/** While nobody else reads or writes. */
export const alone = <T>(room: Workroom, act: () => Promise<T>): Promise<T> =>
  inTurn(writers, room, () => inTurn(connection, room, act));

/** Reads from one moment. */
export function look<T>(room: Workroom, act: (manager: EntityManager) => Promise<T>): Promise<T> {
  return inTurn(connection, room, async () => {
    if (!room.source.isInitialized) await withDisk(room, () => makeSound(room));
    return act(room.source.manager);
  });
}

/** The jobs whose view a change makes stale. */
export type TouchedJobs = 'all' | readonly (string | null)[];

/**
 * Runs a change in one transaction and forgets what was sent before of the jobs that it touches; a clock touches none. What
 * it returns was committed, and the commit was synced.
 *
 * Throws HttpError 507 where the disk did not take it: nothing of it stands then.
 */
export function change<T>(
  room: Workroom,
  act: (manager: EntityManager) => Promise<T>,
  touches: (result: T) => TouchedJobs = () => 'all',
): Promise<T> {
  return alone(room, async () => {
    let touched: TouchedJobs = 'all';
    try {
      const result = await withDisk(room, async () => {
        await makeSound(room);
        return runTransaction(room.source, async (manager) => {
          await countAct(manager, room.now());
          return act(manager);
        });
      });
      touched = touches(result);
      room.trouble = null;
      return result;
    } catch (error) {
      // Whatever failed: the next write must not begin on what it left behind.
      await makeSound(room).catch(() => undefined);
      throw error;
    } finally {
      forget(room, touched);
    }
  });
}

/** A change over another connection to the same database: it is read on here meanwhile, and written after it. */
export function changeAside<T>(room: Workroom, act: () => Promise<T>): Promise<T> {
  return inTurn(writers, room, async () => {
    try {
      const result = await withDisk(room, act);
      room.trouble = null;
      return result;
    } finally {
      // In its turn: what is being read just now may be half from before.
      await inTurn(connection, room, () => Promise.resolve(forget(room, 'all')));
    }
  });
}

/** What shows any of these jobs is read anew when it is asked for. */
export function forget({ kept: { jobs, views, lanes } }: Workroom, touched: TouchedJobs): void {
  if (touched === 'all') for (const all of [jobs, lanes]) all.clear();
  else for (const id of touched) for (const each of [jobs, lanes]) each.delete(id ?? '');
  if (touched.length) views.clear();
}

/** Whatever is kept on the disk, in the database or beside it: that it was not taken is said as such, and remembered. */
export async function withDisk<T>(room: Workroom, act: () => Promise<T>): Promise<T> {
  try {
    return await act();
  } catch (error) {
    const trouble = readDiskTrouble(error, room.now());
    if (!trouble) throw error;
    room.log.error({ err: error, trouble: trouble.kind }, 'the disk did not take it');
    room.trouble = trouble;
    throw new HttpError(507, { code: `disk-${trouble.kind}`, message: trouble.message });
  }
}

async function makeSound(room: Workroom): Promise<void> {
  if (await isSound(room.source)) return;
  room.log.error('the connection to the database is replaced');
  await finishSwap(room.folder);
  room.source = await reopenDatabase(room.source);
}
