import { randomUUID } from 'node:crypto';
import type { KeepMix } from '@sardonyx/contract';
import { computeKeptMix, placeNewCoat, replayMix, sortPlanned } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { MixRow } from '../../entities/colour.ts';
import { PaintProductRow } from '../../entities/paint.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';
import { takePlace } from '../coats/takePlace.ts';
import { findRow } from '../rows/versionedRows.ts';
import { priceOfActs } from '../shelf/priceOfActs.ts';
import { putUpPot } from '../shelf/movePot.ts';
import { recompilePlan } from '../tasks/recompilePlan.ts';
import { findOpenMix, readSteps } from './logStep.ts';

/** Line under which mixes of this bench stand on the shelf. */
const OWN_LINE = 'Mixed here';

/** The mix becomes a pot with its recipe, and what is planned for an area where one was named. */
export async function keepMix(manager: EntityManager, mixId: string, body: KeepMix, now: Date): Promise<MixRow> {
  const mix = await findOpenMix(manager, mixId);
  const steps = await readSteps(manager, mixId);
  const state = replayMix(steps);
  const last = state.patches.at(-1);
  if (!last || state.isPatchDue)
    throw refused('no-patch', 'Paint a patch of it first: what has not dried has no colour to keep.');
  // Line and name are the key of a pot, in files too.
  if (await manager.existsBy(PaintProductRow, { line: OWN_LINE, name: body.name }))
    throw refused('double', `A mix called ${body.name} stands on the shelf already.`, { name: 'Name it otherwise.' });
  const found = await manager.findBy(PaintProductRow, { id: In([...state.productIds]) });
  const products = state.productIds.map((id) => found.find((one) => one.id === id)!);
  const product = manager.create(PaintProductRow, {
    ...computeKeptMix(state, products, mix.geometry),
    ...{ id: randomUUID(), version: 1, line: OWN_LINE, name: body.name },
  });
  await manager.insert(PaintProductRow, product);
  await putUpPot(
    manager,
    {
      ...{ productId: product.id, leftMl: state.totalMl, place: body.place },
      openedOn: now.toISOString().slice(0, 10),
    },
    {
      ...{ move: 'made', jobId: mix.jobId, actId: mixId, who: body.who, note: `mixed: ${mix.name}` },
      price: await priceOfActs(manager, steps),
    },
    now,
  );
  if (body.areaId) await planOn(manager, mix, body.areaId, product, now);
  await manager.update(
    MixRow,
    { id: mixId },
    { endedAt: now.toISOString(), productId: product.id, version: mix.version + 1 },
  );
  return findRow(manager, MixRow, mixId, 'This mix');
}

/** Its colour takes the place of the colour that was planned there; without one it comes outermost. */
async function planOn(manager: EntityManager, mix: MixRow, areaId: string, product: PaintProductRow, now: Date) {
  const area = await findRow(manager, AreaRow, areaId, 'This area');
  const part = await findRow(manager, SpecimenPartRow, area.specimenPartId, 'This part');
  const specimen = await findRow(manager, SpecimenRow, part.specimenId, 'This model');
  if (specimen.jobId !== mix.jobId) throw refused('other-job', 'This area belongs to another job.');
  const planned = await manager.findBy(CoatingLayerRow, { areaId, stage: 'planned' });
  const old = sortPlanned(planned).find((layer) => layer.kind === 'colour');
  const fields = {
    name: `${product.line} ${product.name}`,
    colourHex: product.colourHex,
    thicknessUm: product.dryFilmUm,
    thicknessOrigin: 'product sheet' as const,
    productId: product.id,
  };
  if (old) await manager.update(CoatingLayerRow, { id: old.id }, { ...fields, version: old.version + 1 });
  else {
    const layer = manager.create(CoatingLayerRow, {
      ...{ id: randomUUID(), version: 1, areaId, stage: 'planned', kind: 'colour', whose: 'restorer', note: '' },
      ...{ seq: placeNewCoat(planned, 'colour'), tempC: null, appliedAt: null, appliedBy: null },
      ...fields,
    });
    await manager.insert(CoatingLayerRow, layer);
    await takePlace(manager, layer, null);
  }
  await recompilePlan(manager, mix.jobId, now);
}

/** Thrown away: its log stays, and what was poured stays poured. */
export async function giveUpMix(manager: EntityManager, mixId: string, now: Date): Promise<MixRow> {
  const mix = await findOpenMix(manager, mixId);
  await manager.update(MixRow, { id: mixId }, { endedAt: now.toISOString(), version: mix.version + 1 });
  return findRow(manager, MixRow, mixId, 'This mix');
}
