import { createRecord, type JobRecord } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { DecalActRow, DecalArtworkRow, DecalOrderRow, DecalPlanRow, DecalSheetRow } from '../../entities/decal.ts';
import { OrderLineRow, StockOrderRow } from '../../entities/order.ts';
import { PrintPartRow, PrintRunRow } from '../../entities/print.ts';
import { SupplierRow } from '../../entities/stock.ts';
import { TimerRow } from '../../entities/work.ts';
import { BathRow, PlanChangeRow, VesselRow } from '../../entities/workshop.ts';
import { readMixes } from '../colour/readColour.ts';
import { readCost } from '../cost/readCost.ts';
import { readLogsOf } from '../cost/readLogsOf.ts';
import { readJobView } from '../jobs/readJobView.ts';
import { readSignings } from '../signing/readSignings.ts';
import { readNames } from './readNames.ts';

/** The record of a job, from what is in the database now. */
export async function composeRecord(manager: EntityManager, jobId: string, now: Date): Promise<JobRecord> {
  const view = await readJobView(manager, jobId, now);
  const wantIds = view.specimens.flatMap(({ wants }) => wants.map(({ id }) => id));
  const logs = await readLogsOf(manager, jobId);
  return createRecord({
    ...view,
    baths: await readBathsOf(
      manager,
      view.passes.flatMap(({ bathId }) => bathId ?? []),
    ),
    mixes: await readMixes(manager, jobId),
    signings: await readSignings(manager, jobId),
    timers: await manager.find(TimerRow, { where: { jobId }, order: { startedAt: 'ASC' } }),
    planChanges: await manager.find(PlanChangeRow, { where: { jobId }, order: { at: 'ASC' } }),
    decals: await readDecalsOf(
      manager,
      view.specimens.flatMap(({ layers }) => layers.map(({ id }) => id)),
    ),
    used: [...logs.pots, ...logs.things].map(({ what, unit, lines }) => ({
      ...{ what, unit, lines: lines.filter((line) => line.jobId === jobId) },
    })),
    ordered: await readOrdered(manager, jobId, wantIds),
    printed: await readPrinted(manager, wantIds),
    cost: await readCost(manager, jobId, logs),
    nameOf: await readNames(manager),
  });
}

async function readBathsOf(manager: EntityManager, ids: readonly string[]) {
  const baths = await manager.findBy(BathRow, { id: In([...ids]) });
  const vessels = await manager.findBy(VesselRow, { id: In(baths.map(({ vesselId }) => vesselId)) });
  return baths.map((bath) => ({ ...bath, vessel: vessels.find(({ id }) => id === bath.vesselId)!.name }));
}

async function readDecalsOf(manager: EntityManager, layerIds: readonly string[]) {
  const own = { layerId: In([...layerIds]) };
  const plans = await manager.findBy(DecalPlanRow, own);
  const sheets = await manager.find(DecalSheetRow, { order: { at: 'ASC' } });
  return {
    plans,
    artworks: await manager.findBy(DecalArtworkRow, { id: In(plans.flatMap(({ artworkId }) => artworkId ?? [])) }),
    orders: await manager.findBy(DecalOrderRow, own),
    acts: await manager.find(DecalActRow, { where: own, order: { at: 'ASC' } }),
    sheets: sheets.filter(({ pieces }) => pieces.some(({ layerId }) => layerIds.includes(layerId))),
  };
}

/** For this job alone, or for one of its wants. */
async function readOrdered(manager: EntityManager, jobId: string, wantIds: readonly string[]) {
  const lines = await manager.find(OrderLineRow, { where: [{ jobId }, { wantId: In([...wantIds]) }] });
  const orders = await manager.findBy(StockOrderRow, { id: In(lines.map(({ orderId }) => orderId)) });
  const suppliers = await manager.findBy(SupplierRow, { id: In(orders.map(({ supplierId }) => supplierId)) });
  return lines
    .map((line) => {
      const order = orders.find(({ id }) => id === line.orderId)!;
      return { line, order, supplier: suppliers.find(({ id }) => id === order.supplierId)!.name };
    })
    .sort((a, b) => a.order.orderedOn.localeCompare(b.order.orderedOn));
}

async function readPrinted(manager: EntityManager, wantIds: readonly string[]) {
  const runs = await manager.find(PrintRunRow, { where: { wantId: In([...wantIds]) }, order: { at: 'ASC' } });
  const prints = await manager.findBy(PrintPartRow, { id: In(runs.map(({ printId }) => printId)) });
  return runs.map((run) => ({ run, print: prints.find(({ id }) => id === run.printId)! }));
}
