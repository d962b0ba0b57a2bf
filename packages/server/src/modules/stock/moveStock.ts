import { randomUUID } from 'node:crypto';
import type { MoveStock } from '@sardonyx/contract';
import { appendMovement, checkLock, checkMovement, STOCK_KINDS } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { StockMovementRow, StockThingRow } from '../../entities/stock.ts';
import { refused } from '../../http/errors.ts';

/** Writes one line of a thing's log and what it leaves of the thing; looks again whether it may, whatever the page saw. */
export async function moveStock(
  manager: EntityManager,
  thing: StockThingRow,
  line: MoveStock,
  now: Date,
): Promise<StockMovementRow> {
  const { unit } = STOCK_KINDS[thing.kind];
  const step = { ...line, at: now.toISOString() };
  const [no] = [...checkLock(thing.isLocked, step), ...checkMovement(thing.state, step, unit)];
  if (no)
    throw refused(no.code, no.message, {
      [no.code === 'no-job' || no.code === 'kept-back' ? 'jobId' : 'amount']: no.message,
    });
  const seq = (await manager.maximum(StockMovementRow, 'seq', { thingId: thing.id })) ?? 0;
  const movement = {
    id: randomUUID(),
    thingId: thing.id,
    seq: seq + 1,
    at: now.toISOString(),
    ...line,
    taskId: line.taskId ?? null,
  };
  await manager.insert(StockMovementRow, movement);
  await manager.update(StockThingRow, { id: thing.id }, { state: appendMovement(thing.state, movement) });
  return movement;
}
