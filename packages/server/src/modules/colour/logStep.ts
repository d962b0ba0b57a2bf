import { randomUUID } from 'node:crypto';
import { refusePour, replayMix, sumLeft, type MixStepBody, type Pour } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { MixRow, MixStepRow } from '../../entities/colour.ts';
import { PaintPotRow, PaintProductRow } from '../../entities/paint.ts';
import { refused } from '../../http/errors.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';
import { putBackPaint, takePaint } from '../shelf/movePot.ts';

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
  const { productIds } = replayMix(await readSteps(manager, mixId));
  const inMix = await Promise.all(productIds.map((id) => findRow(manager, PaintProductRow, id, 'A pot of this mix')));
  const pots = await manager.findBy(PaintPotRow, { productId: product.id });
  const refusal = refusePour(product, inMix, pour.ml, sumLeft(pots, product.id));
  if (refusal) {
    const { code, message, hint } = refusal;
    const fields = hint === null ? undefined : { [code === 'not-enough' ? 'ml' : 'productId']: hint };
    throw refused(code, `${message} ${WHAT_NOW[code]}`.trim(), fields);
  }
  const step = await logStep(manager, mixId, { kind: 'pour', ...pour }, who, now);
  const { jobId, name } = await findOpenMix(manager, mixId);
  const line = { move: 'taken' as const, amount: pour.ml, jobId, actId: step.id, who, note: `into ${name}` };
  await takePaint(manager, product.id, line, now);
  return step;
}

/** What stands after the reason where somebody has just poured. */
const WHAT_NOW = {
  outside: '',
  binder: 'Nothing was logged.',
  'too-many': '',
  'not-enough': 'Put the shelf right first.',
} as const;

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
  if (step.body.kind === 'pour') await putBackPaint(manager, stepId, { who, note: 'poured by mistake' }, now);
  return row;
}
