import { setTimeout as wait } from 'node:timers/promises';
import type { DataSource, EntityManager, QueryRunner } from 'typeorm';

/** Somebody else's lock is waited for so long; the event loop goes on meanwhile. */
const LOCK_WAIT_MS = 8000;
const LOCK_RETRY_MS = 40;

/** What the driver knows of its connection. */
interface RawConnection {
  readonly open: boolean;
  readonly inTransaction: boolean;
}

const rawOf = (source: DataSource): RawConnection =>
  (source.driver as unknown as { databaseConnection: RawConnection }).databaseConnection;

/**
 * One transaction, begun as a writer: what it read cannot change before it writes. It is committed when `act` is done, or
 * nothing of it stands.
 *
 * A full disk can end a transaction from within, and the statements after it would stand by themselves: that it is still
 * there is asked before each, and that it is gone after the last.
 */
export async function runTransaction<T>(source: DataSource, act: (manager: EntityManager) => Promise<T>): Promise<T> {
  const runner = source.createQueryRunner() as QueryRunner & { isTransactionActive: boolean };
  const raw = rawOf(source);
  if (raw.inTransaction) throw new UnsoundConnectionError('a transaction was left open');
  await begin(runner);
  // The query runner opens no transaction of its own inside of this one.
  runner.isTransactionActive = true;
  const query = runner.query.bind(runner);
  const release = override(runner, 'query', ((...given: Parameters<typeof query>) =>
    raw.inTransaction
      ? query(...given)
      : Promise.reject(new UnsoundConnectionError('the database ended the transaction'))) as typeof query);
  try {
    const result = await act(runner.manager);
    await runner.query('COMMIT');
    if (raw.inTransaction) throw new UnsoundConnectionError('the transaction was not committed');
    return result;
  } finally {
    release();
    runner.isTransactionActive = false;
    if (raw.open && raw.inTransaction) await runner.query('ROLLBACK').catch(() => undefined);
  }
}

/** Puts something in the place of a method until the returned function is called. */
function override<T extends object, K extends keyof T>(of: T, name: K, instead: T[K]): () => void {
  const own = Object.getOwnPropertyDescriptor(of, name);
  of[name] = instead;
  return () => {
    if (own) Object.defineProperty(of, name, own);
    else delete of[name];
  };
}

/** The connection does not stand as it should; it has to be replaced. */
export class UnsoundConnectionError extends Error {}

/** Whether the connection can take the next write. */
export async function isSound(source: DataSource): Promise<boolean> {
  if (!source.isInitialized) return false;
  const { open, inTransaction } = rawOf(source);
  if (!open || inTransaction) return false;
  return source.query('SELECT 1').then(
    () => true,
    () => false,
  );
}

async function begin(runner: QueryRunner): Promise<void> {
  const until = Date.now() + LOCK_WAIT_MS;
  for (;;) {
    try {
      await runner.query('BEGIN IMMEDIATE');
      return;
    } catch (error) {
      if (!isLocked(error) || Date.now() > until) throw error;
      await wait(LOCK_RETRY_MS);
    }
  }
}

const isLocked = (error: unknown): boolean => /^SQLITE_(BUSY|LOCKED)/.test(readDriverCode(error) ?? '');

/** SQLite's name for what went wrong; null for what the database has nothing to do with. */
export function readDriverCode(error: unknown): string | null {
  if (!(error instanceof Error)) return null;
  const cause = 'driverError' in error ? (error.driverError as { code?: unknown }) : (error as { code?: unknown });
  return typeof cause.code === 'string' ? cause.code : null;
}
