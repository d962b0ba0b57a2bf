import type { DecalOrderView, DecalSheetView, DecalsView, PlannedDecalView } from '@sardonyx/contract';
import {
  chooseOption,
  computePrinterScale,
  describeDecal,
  findBody,
  findHeight,
  isSettled,
  isStanding,
  nameOfArea,
  orderDecals,
  rateSuppliers,
  reflectBody,
  selectStandingActs,
  TRUE_SCALE,
  type DecalAct,
  type DecalSheet,
  type FollowedOrder,
  type PrinterScale,
} from '@sardonyx/core';
import { In, IsNull, type EntityManager } from 'typeorm';
import { DecalActRow, DecalArtworkRow, DecalPlanRow, DecalSheetRow } from '../../entities/decal.ts';
import { PaintProductRow } from '../../entities/paint.ts';
import { JobRow, TaskRow } from '../../entities/work.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow, SpecimenRow, WantRow } from '../../entities/workpiece.ts';
import { readDrawing } from '../catalogue/readDrawing.ts';
import { readStoredFacts } from '../tasks/recompilePlan.ts';
import { readDecalOrders } from './readDecalOrders.ts';
import { readDecalStates, readLeft } from './readLeft.ts';

/** Artworks, the decals that open jobs plan, and the sheets that were printed. */
export async function readDecals(manager: EntityManager, now: Date): Promise<DecalsView> {
  const artworks = await manager.find(DecalArtworkRow, { order: { name: 'ASC', id: 'ASC' } });
  const sheets = await manager.find(DecalSheetRow, { order: { at: 'DESC' } });
  const acts = await manager.find(DecalActRow, { order: { at: 'ASC' } });
  const plans = await manager.find(DecalPlanRow);
  const orders = await readDecalOrders(manager);
  const known = { artworks, sheets, acts, plans, orders, now };
  const jobs = await manager.find(JobRow, { where: { signedOffAt: IsNull() }, order: { number: 'ASC' } });
  const decals: PlannedDecalView[] = [];
  for (const job of jobs) {
    const specimens = await manager.findBy(SpecimenRow, { jobId: job.id });
    for (const specimen of specimens) decals.push(...(await readModel(manager, job, specimen, known)));
  }
  return {
    ...{ artworks, decals, sheets: sheets.map(withoutShapes), printer: findPrinterScale(sheets) },
    ...{ states: await readDecalStates(manager), orders: orders.map(withoutOwnShapes) },
    suppliers: rateSuppliers(orders),
  };
}

/** By the last sheet whose rules were measured. */
export function findPrinterScale(sheets: readonly DecalSheet[]): PrinterScale {
  const last = sheets.find(({ measured }) => measured !== null);
  return last ? computePrinterScale(last.paper, last.measured!, last.correctedBy) : TRUE_SCALE;
}

const withoutShapes = ({ artworks, ...sheet }: DecalSheet): DecalSheetView => ({
  ...sheet,
  artworks: artworks.map(({ shapes: _, ...artwork }) => artwork),
});

const withoutOwnShapes = ({
  artwork: { shapes: _, cutLine: __, ...artwork },
  ...order
}: FollowedOrder): DecalOrderView => ({
  ...order,
  artwork,
});

interface Known {
  readonly artworks: readonly DecalArtworkRow[];
  readonly sheets: readonly DecalSheet[];
  readonly acts: readonly DecalAct[];
  readonly plans: readonly DecalPlanRow[];
  readonly orders: readonly FollowedOrder[];
  readonly now: Date;
}

/** The planned decals of a model. */
async function readModel(
  manager: EntityManager,
  job: JobRow,
  specimen: SpecimenRow,
  { artworks, sheets, acts, plans, orders, now }: Known,
): Promise<PlannedDecalView[]> {
  const parts = await manager.findBy(SpecimenPartRow, { specimenId: specimen.id });
  const areas = await manager.findBy(AreaRow, { specimenPartId: In(parts.map(({ id }) => id)) });
  const layers = await manager.findBy(CoatingLayerRow, { areaId: In(areas.map(({ id }) => id)) });
  const planned = layers
    .filter(({ kind, stage }) => kind === 'decal' && stage === 'planned')
    .sort((a, b) => a.seq - b.seq);
  if (planned.length === 0) return [];
  const { facts } = await readStoredFacts(manager, job, specimen);
  const way = chooseOption('S20', facts.decisions);
  const drawing = specimen.castingId ? await readDrawing(manager, specimen.castingId) : null;
  const tasks = await manager.findBy(TaskRow, { specimenId: specimen.id });
  const products = await manager.find(PaintProductRow);
  const left = await readLeft(manager, specimen);
  const wants = await manager.findBy(WantRow, {
    ...{ specimenPartId: In(parts.map(({ id }) => id)), kind: 'decal', state: In(['open', 'ordered', 'solved']) },
  });
  const planOf = (layerId: string) => plans.find((one) => one.layerId === layerId) ?? null;
  const artworkOf = (layerId: string) => artworks.find(({ id }) => id === planOf(layerId)?.artworkId) ?? null;

  const found = planned.map((layer) => {
    const area = areas.find(({ id }) => id === layer.areaId)!;
    const part = parts.find(({ id }) => id === area.specimenPartId)!;
    const own = layers.filter(({ areaId }) => areaId === area.id);
    const nth = 1 + planned.filter(({ areaId }) => areaId === area.id).indexOf(layer);
    const isPlaced = own.some((one) => one.kind === 'decal' && one.name === layer.name && isStanding(one));
    return { layer, area, part, nth, isPlaced };
  });
  const turns = orderDecals(
    found
      .filter(({ isPlaced }) => !isPlaced)
      .map(({ layer, area, part, nth }) => {
        const artwork = artworkOf(layer.id);
        return {
          ...{ layerId: layer.id, areaId: area.id, seq: layer.seq },
          lengthMm: artwork ? Math.max(artwork.widthMm, artwork.heightMm) : 0,
          heightAboveMm: findHeight(drawing, part.key, area),
          isSeamOpen: hasOpenSeam(tasks, part.key, nameOfArea(area), nth),
        };
      }),
  );
  return found.map(({ layer, area, part, nth, isPlaced }): PlannedDecalView => {
    const ownAreas = areas.filter(({ specimenPartId }) => specimenPartId === part.id);
    const ownLayers = layers.filter(({ areaId }) => ownAreas.some(({ id }) => id === areaId));
    const body = findBody(layer, area, ownAreas, ownLayers);
    const product = products.find(({ id }) => id === body?.productId) ?? null;
    const [plan, at] = [planOf(layer.id), turns.findIndex(({ layerId }) => layerId === layer.id)];
    return {
      ...describeDecal(
        {
          ...{ layerId: layer.id, partKey: part.key, area, drawing, plan, way, isPlaced },
          artwork: artworkOf(layer.id),
          body: body && reflectBody(product, body.colourHex),
        },
        { sheets, orders, acts, sizeOf: artworkOf, now },
      ),
      ...{ layerId: layer.id, name: layer.name, nth, plan, isPlaced, sizeMm: layer.decalMm },
      ...{ jobId: job.id, jobNumber: job.number, specimenId: specimen.id },
      ...{ partKey: part.key, part: part.name, area: nameOfArea(area), crossesSeam: area.crossesSeam },
      body: body && { name: body.name, hex: body.colourHex },
      turn: at < 0 ? null : { nth: at + 1, because: turns[at]!.because },
      left,
      freeWants: wants
        .filter((want) => want.specimenPartId === part.id && !orders.some(({ wantId }) => wantId === want.id))
        .map(({ id, what }) => ({ id, what })),
      acts: selectStandingActs(acts.filter(({ layerId }) => layerId === layer.id)),
    };
  });
}

/** What the plan says of it: its step waits for something to be closed for good (O30). */
function hasOpenSeam(tasks: readonly TaskRow[], partKey: string, area: string, nth: number): boolean {
  const own = tasks.find(
    ({ act, partKeys, of }) => act === 'decal' && partKeys[0] === partKey && of.area === area && (of.nth ?? 1) === nth,
  );
  const holds = own?.after.filter(({ rule }) => rule === 'O30') ?? [];
  return holds.some(({ key }) => tasks.some((task) => task.key === key && !isSettled(task)));
}
