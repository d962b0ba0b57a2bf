import type { DecalsView, PlannedDecalView } from '@sardonyx/contract';
import {
  chooseOption,
  computePrinterScale,
  countInHand,
  countSets,
  countWanted,
  findPanel,
  fitPanel,
  isSettled,
  orderDecals,
  judgeFilms,
  nameOfArea,
  reflectBody,
  TRUE_SCALE,
  USUAL_PLACING,
  type Area,
  type DecalAct,
  type DecalSheet,
  type OrderReason,
  type PrinterScale,
  type SchoolOption,
} from '@sardonyx/core';
import { In, IsNull, type EntityManager } from 'typeorm';
import { DecalActRow, DecalArtworkRow, DecalPlanRow, DecalSheetRow } from '../../entities/decal.ts';
import { PaintProductRow } from '../../entities/paint.ts';
import { JobRow, TaskRow } from '../../entities/work.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';
import { readDrawing } from '../catalogue/readDrawing.ts';
import { describePlacing } from './describePlacing.ts';
import { readStoredFacts } from '../tasks/recompilePlan.ts';

/** Artworks, the decals that open jobs plan, and the sheets that were printed. */
export async function readDecals(manager: EntityManager, now: Date): Promise<DecalsView> {
  const artworks = await manager.find(DecalArtworkRow, { order: { name: 'ASC', id: 'ASC' } });
  const sheets = await manager.find(DecalSheetRow, { order: { at: 'DESC' } });
  const acts = await manager.find(DecalActRow, { order: { at: 'ASC' } });
  const decals = await readPlanned(manager, { artworks, sheets, acts, now });
  return { artworks, sheets, printer: findPrinterScale(sheets), decals };
}

/** By the last sheet whose rules were measured. */
export function findPrinterScale(sheets: readonly DecalSheet[]): PrinterScale {
  const last = sheets.find(({ measured }) => measured !== null);
  return last ? computePrinterScale(last.paper, last.measured!, last.correctedBy) : TRUE_SCALE;
}

interface KnownOfDecals {
  readonly artworks: readonly DecalArtworkRow[];
  readonly sheets: readonly DecalSheet[];
  readonly acts: readonly DecalAct[];
  readonly now: Date;
}

async function readPlanned(
  manager: EntityManager,
  { artworks, sheets, acts, now }: KnownOfDecals,
): Promise<PlannedDecalView[]> {
  const decals = await manager.find(CoatingLayerRow, { where: { kind: 'decal', stage: 'planned' } });
  const areas = await manager.findBy(AreaRow, { id: In(decals.map(({ areaId }) => areaId)) });
  const parts = await manager.findBy(SpecimenPartRow, { id: In(areas.map(({ specimenPartId }) => specimenPartId)) });
  const specimens = await manager.findBy(SpecimenRow, { id: In(parts.map(({ specimenId }) => specimenId)) });
  const jobs = await manager.find(JobRow, { where: { signedOffAt: IsNull() }, order: { number: 'ASC' } });
  const plans = await manager.find(DecalPlanRow);
  const read = jobs.flatMap((job) =>
    specimens
      .filter(({ jobId }) => jobId === job.id)
      .map(async (specimen) => {
        const { facts } = await readStoredFacts(manager, job, specimen);
        const way = chooseOption('S20', facts.decisions);
        const isSeamOpen = await hasOpenSeam(manager, specimen.id);
        const own = parts.filter(({ specimenId }) => specimenId === specimen.id);
        return Promise.all(
          decals.flatMap((layer) => {
            const area = areas.find(({ id }) => id === layer.areaId);
            const part = area && own.find(({ id }) => id === area.specimenPartId);
            return part ? [readOne(manager, { layer, area, part, specimen, job, way, isSeamOpen })] : [];
          }),
        );
      }),
  );
  const found = (await Promise.all(read)).flat();
  const planOf = (layerId: string) => plans.find((one) => one.layerId === layerId) ?? null;
  const artworkOf = (layerId: string) => artworks.find(({ id }) => id === planOf(layerId)?.artworkId) ?? null;
  const turns = listTurns(found, artworkOf);
  return found.map(({ body, product, place, drawing, seq: _, isSeamOpen: __, way, ...decal }) => {
    const plan = planOf(decal.layerId);
    const artwork = artworkOf(decal.layerId);
    const panel = findPanel(plan?.panel ?? null, drawing, decal.partKey, place);
    return {
      ...{ ...decal, panel },
      fit: artwork && panel ? fitPanel(artwork, panel, { ...USUAL_PLACING, marginMm: panel.marginMm }) : null,
      body: body && { name: body.name, hex: body.colourHex },
      plan,
      acts: acts.filter(({ layerId }) => layerId === decal.layerId),
      inHand: countInHand({ layerId: decal.layerId, artwork }, sheets, acts),
      toPrint: countWanted({ ...decal, artwork, copies: plan?.copies ?? 1 }, sheets, acts),
      placing: artwork && {
        ...describePlacing(
          { layerId: decal.layerId, size: artwork, way, isOnRelief: decal.crossesSeam, sizeOf: artworkOf },
          sheets,
          acts,
          now,
        ),
        ...turns.get(decal.layerId)!,
      },
      judged:
        artwork && body ? judgeFilms(artwork.inks, artwork.bareShare, reflectBody(product, body.colourHex)) : null,
    };
  });
}

interface Found {
  readonly layer: CoatingLayerRow;
  readonly area: AreaRow;
  readonly part: SpecimenPartRow;
  readonly specimen: SpecimenRow;
  readonly job: JobRow;
  readonly way: SchoolOption<'S20'>;
  readonly isSeamOpen: boolean;
}

/** Something that moves, or a joint, of this model is still to be closed. */
async function hasOpenSeam(manager: EntityManager, specimenId: string): Promise<boolean> {
  const tasks = await manager.findBy(TaskRow, { specimenId });
  return tasks.some(
    (task) => !isSettled(task) && (task.tags.includes('close joint') || task.tags.includes('mechanism in')),
  );
}

/** Whose turn it is, model by model. */
function listTurns(
  found: readonly Awaited<ReturnType<typeof readOne>>[],
  artworkOf: (layerId: string) => DecalArtworkRow | null,
): Map<string, { readonly turn: number; readonly because: OrderReason | null }> {
  const turns = new Map<string, { readonly turn: number; readonly because: OrderReason | null }>();
  for (const specimenId of new Set(found.map((one) => one.specimenId))) {
    const own = found.filter((one) => one.specimenId === specimenId && !one.isPlaced);
    const ordered = orderDecals(
      own.map(({ layerId, place, seq, crossesSeam, isSeamOpen }) => {
        const artwork = artworkOf(layerId);
        const lengthMm = artwork ? Math.max(artwork.widthMm, artwork.heightMm) : 0;
        return { layerId, areaId: place.id, seq, lengthMm, heightAboveMm: null, isSeamOpen: crossesSeam && isSeamOpen };
      }),
    );
    ordered.forEach(({ layerId, because }, i) => turns.set(layerId, { turn: i + 1, because }));
  }
  for (const { layerId } of found) if (!turns.has(layerId)) turns.set(layerId, { turn: 0, because: null });
  return turns;
}

async function readOne(manager: EntityManager, { layer, area, part, specimen, job, way, isSeamOpen }: Found) {
  const near = await manager.findBy(AreaRow, { specimenPartId: part.id });
  const layers = await manager.findBy(CoatingLayerRow, { areaId: In(near.map(({ id }) => id)) });
  const body = findColourUnder(layer, area, near, layers);
  const product = body?.productId ? await manager.findOneBy(PaintProductRow, { id: body.productId }) : null;
  return {
    ...{ layerId: layer.id, name: layer.name, sizeMm: layer.decalMm, sets: countSets(way), way },
    ...{ seq: layer.seq, isSeamOpen, nth: countBefore(layer, layers) },
    ...{ jobId: job.id, jobNumber: job.number, specimenId: specimen.id, model: specimen.name },
    ...{ part: part.name, partKey: part.key, area: nameOfArea(area), place: area, crossesSeam: area.crossesSeam },
    ...{ body, product, drawing: specimen.castingId ? await readDrawing(manager, specimen.castingId) : null },
    isPlaced: layers.some(
      (one) =>
        one.stage === 'applied' &&
        one.kind === 'decal' &&
        one.areaId === area.id &&
        one.name === layer.name &&
        one.rejection === null,
    ),
  };
}

/** From 1: which of the planned decals of its area it is. */
const countBefore = (decal: CoatingLayerRow, layers: readonly CoatingLayerRow[]): number =>
  layers.filter(
    (one) => one.areaId === decal.areaId && one.stage === 'planned' && one.kind === 'decal' && one.seq <= decal.seq,
  ).length;

/** The colour that a decal will lie on: planned below it on its own area, else on the outside of its part; else what is there. */
function findColourUnder(
  decal: CoatingLayerRow,
  area: AreaRow,
  areas: readonly Pick<Area, 'id' | 'kind'>[],
  layers: readonly CoatingLayerRow[],
): CoatingLayerRow | null {
  const outside = areas.find(({ kind }) => kind === 'outside');
  const of = (areaId: string | undefined, stage: CoatingLayerRow['stage']) =>
    layers
      .filter((one) => one.areaId === areaId && one.stage === stage && one.kind === 'colour')
      .filter((one) => one.areaId !== decal.areaId || stage !== 'planned' || one.seq < decal.seq)
      .sort((a, b) => b.seq - a.seq)[0];
  return (
    of(area.id, 'planned') ?? of(outside?.id, 'planned') ?? of(area.id, 'found') ?? of(outside?.id, 'found') ?? null
  );
}
