import { randomUUID } from 'node:crypto';
import { appendMovement, checkMovement, foldMovements, type PotMovement } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { PaintPotRow, PotMovementRow } from '../../entities/paint.ts';
import { refused } from '../../http/errors.ts';

/** What is written of a pot; what is left out is not known. */
export type PotLine = Pick<PotMovement, 'move' | 'amount' | 'who'> &
  Partial<Pick<PotMovement, 'jobId' | 'taskId' | 'actId' | 'price' | 'batch' | 'note'>>;

const BLANK = { jobId: null, taskId: null, actId: null, price: null, batch: '', note: '' } as const;

export const readPotLog = (manager: EntityManager, potId: string): Promise<PotMovementRow[]> =>
  manager.find(PotMovementRow, { where: { potId }, order: { seq: 'ASC' } });

/** Writes one line of a pot's log and what it leaves in the pot; looks again whether it may, whatever the page saw. */
export async function movePot(
  manager: EntityManager,
  potId: string,
  line: PotLine,
  now: Date,
): Promise<PotMovementRow> {
  const pot = await manager.findOneByOrFail(PaintPotRow, { id: potId });
  const log = await readPotLog(manager, potId);
  const movement = { ...BLANK, ...line, id: randomUUID(), potId, seq: log.length + 1, at: now.toISOString() };
  const before = foldMovements(log);
  const [no] = checkMovement(before, movement, 'ml');
  if (no) throw refused(no.code, no.message, { [no.code === 'no-job' ? 'jobId' : 'amount']: no.message });
  await manager.insert(PotMovementRow, movement);
  const isOpened = pot.openedOn === null && (line.move === 'taken' || line.move === 'wasted');
  await manager.update(
    PaintPotRow,
    { id: potId },
    {
      leftMl: appendMovement(before, movement).onHand,
      ...(isOpened ? { openedOn: movement.at.slice(0, 10), version: pot.version + 1 } : {}),
    },
  );
  return movement;
}

/** A pot comes onto the shelf with so much in it. */
export async function putUpPot(
  manager: EntityManager,
  { leftMl, ...pot }: Pick<PaintPotRow, 'productId' | 'leftMl' | 'place' | 'openedOn'>,
  line: Omit<PotLine, 'amount'>,
  now: Date,
): Promise<string> {
  const id = randomUUID();
  await manager.insert(PaintPotRow, { id, version: 1, leftMl: 0, ...pot });
  await movePot(manager, id, { ...line, amount: leftMl }, now);
  return id;
}

/**
 * Takes paint out of the pots of a product: what is open first, the longest open before the others. What is not there is not
 * taken; says how much was.
 */
export async function takePaint(
  manager: EntityManager,
  productId: string,
  { amount, ...line }: PotLine,
  now: Date,
): Promise<number> {
  const pots = await manager.findBy(PaintPotRow, { productId });
  const sorted = pots.sort((a, b) => (a.openedOn ?? UNOPENED).localeCompare(b.openedOn ?? UNOPENED));
  let left = amount;
  for (const pot of sorted) {
    const out = Math.min(left, pot.leftMl);
    if (out <= 0) continue;
    await movePot(manager, pot.id, { ...line, amount: out }, now);
    left -= out;
  }
  return amount - left;
}

const UNOPENED = '9999';

/** What an act took goes back into the pots that it came out of. */
export async function putBackPaint(
  manager: EntityManager,
  actId: string,
  line: Pick<PotLine, 'who' | 'note'>,
  now: Date,
): Promise<void> {
  for (const { potId, amount, jobId } of await manager.findBy(PotMovementRow, { actId, move: 'taken' }))
    await movePot(manager, potId, { ...line, move: 'put back', amount, jobId, actId }, now);
}
