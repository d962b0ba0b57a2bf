import { randomUUID } from 'node:crypto';
import { mayBeMixed, replayMix, sumLeft, type MixStepBody, type Pour } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { MixRow, MixStepRow } from '../../entities/colour.ts';
import { PaintPotRow, PaintProductRow } from '../../entities/paint.ts';
import { refused } from '../../http/errors.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';

/** More pots in one mix than this cannot be told apart by patches. */
const MOST_POTS = 8;

/** A mix that is still being mixed, of an open job. */
export async function findOpenMix(manager: EntityManager, mixId: string): Promise<MixRow> {
  const mix = await findRow(manager, MixRow, mixId, 'This mix');
  await assertJobIsOpen(manager, mix.jobId);
  if (mix.endedAt) throw refused('ended', `${mix.name} is finished; its log stands as it is.`);
  return mix;
}

export const readSteps = (manager: EntityManager, mixId: string): Promise<MixStepRow[]> =>
  manager.find(MixStepRow, { where: { mixId }, order: { seq: 'ASC' } });

export async function logStep(
  manager: EntityManager,
  mixId: string,
  body: MixStepBody,
  who: string,
  now: Date,
): Promise<MixStepRow> {
  await findOpenMix(manager, mixId);
  const steps = await readSteps(manager, mixId);
  if ((body.kind === 'patch' || body.kind === 'wet') && replayMix(steps).totalMl <= 0)
    throw refused('empty', 'Nothing is in the cup yet: pour first.');
  const row = manager.create(MixStepRow, {
    ...{ id: randomUUID(), mixId, seq: steps.length, at: now.toISOString(), who, body },
  });
  await manager.insert(MixStepRow, row);
  return row;
}

/** What is poured is out of its pot. */
export async function logPour(
  manager: EntityManager,
  mixId: string,
  pour: Omit<Pour, 'kind'>,
  who: string,
  now: Date,
): Promise<MixStepRow> {
  const product = await findRow(manager, PaintProductRow, pour.productId, 'This pot');
  if (!mayBeMixed(product))
    throw refused('outside', `${product.line} ${product.name} cannot be mixed by calculation.`, {
      productId: 'Choose another pot.',
    });
  const state = replayMix(await readSteps(manager, mixId));
  await assertBinderFits(manager, product, state.productIds);
  if (!state.productIds.includes(product.id) && state.productIds.length >= MOST_POTS)
    throw refused('too-many', `${MOST_POTS} pots are in it already: begin anew with fewer.`);
  await takeFromPots(manager, product, pour.ml);
  return logStep(manager, mixId, { kind: 'pour', ...pour }, who, now);
}

async function assertBinderFits(manager: EntityManager, product: PaintProductRow, inMix: readonly string[]) {
  for (const id of inMix) {
    const other = await findRow(manager, PaintProductRow, id, 'A pot of this mix');
    if (other.binder !== product.binder)
      throw refused(
        'binder',
        `${product.name} is ${product.binder}, the mix is ${other.binder}: these do not mix. Nothing was logged.`,
        { productId: `Choose another ${other.binder}.` },
      );
  }
}

/** From the fullest pot first; a pot cannot give what it has not. */
async function takeFromPots(manager: EntityManager, product: PaintProductRow, ml: number): Promise<void> {
  const pots = await manager.find(PaintPotRow, { where: { productId: product.id }, order: { leftMl: 'DESC' } });
  const left = sumLeft(pots, product.id);
  if (left < ml - 1e-6)
    throw refused(
      'not-enough',
      `${product.line} ${product.name} has ${left.toFixed(2)} ml left by the record; ${ml.toFixed(2)} ml cannot have come out of it. Put the shelf right first.`,
      { ml: `At most ${left.toFixed(2)} ml.` },
    );
  let wanted = ml;
  for (const pot of pots) {
    const taken = Math.min(wanted, pot.leftMl);
    if (taken > 0)
      await manager.update(PaintPotRow, { id: pot.id }, { leftMl: pot.leftMl - taken, version: pot.version + 1 });
    wanted -= taken;
  }
}

/** A counter-entry: the step stays in the log and counts no more; what it took is in its pot again. */
export async function undoStep(
  manager: EntityManager,
  mixId: string,
  stepId: string,
  who: string,
  now: Date,
): Promise<MixStepRow> {
  const steps = await readSteps(manager, mixId);
  const step = steps.find((one) => one.id === stepId);
  if (!step || step.body.kind === 'undo') throw refused('no-step', 'There is no such step in this mix.');
  if (replayMix(steps).undone.has(stepId)) throw refused('undone', 'This step was taken out already.');
  const row = await logStep(manager, mixId, { kind: 'undo', stepId }, who, now);
  if (step.body.kind === 'pour') {
    const pot = await manager.findOne(PaintPotRow, {
      where: { productId: step.body.productId },
      order: { leftMl: 'DESC' },
    });
    if (pot)
      await manager.update(
        PaintPotRow,
        { id: pot.id },
        { leftMl: pot.leftMl + step.body.ml, version: pot.version + 1 },
      );
  }
  return row;
}
