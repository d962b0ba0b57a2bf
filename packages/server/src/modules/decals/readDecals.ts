import type { DecalsView, PlannedDecalView } from '@sardonyx/contract';
import {
  chooseOption,
  computePrinterScale,
  countSets,
  countWanted,
  findPanel,
  fitPanel,
  judgeFilms,
  nameOfArea,
  reflectBody,
  TRUE_SCALE,
  type Area,
  type DecalSheet,
  type PrinterScale,
} from '@sardonyx/core';
import { In, IsNull, type EntityManager } from 'typeorm';
import { DecalArtworkRow, DecalPlanRow, DecalSheetRow } from '../../entities/decal.ts';
import { PaintProductRow } from '../../entities/paint.ts';
import { JobRow } from '../../entities/work.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';
import { readDrawing } from '../catalogue/readDrawing.ts';
import { readStoredFacts } from '../tasks/recompilePlan.ts';

/** Artworks, the decals that open jobs plan, and the sheets that were printed. */
export async function readDecals(manager: EntityManager): Promise<DecalsView> {
  const artworks = await manager.find(DecalArtworkRow, { order: { name: 'ASC', id: 'ASC' } });
  const sheets = await manager.find(DecalSheetRow, { order: { at: 'DESC' } });
  return { artworks, sheets, printer: findPrinterScale(sheets), decals: await readPlanned(manager, artworks, sheets) };
}

/** By the last sheet whose rules were measured. */
export function findPrinterScale(sheets: readonly DecalSheet[]): PrinterScale {
  const last = sheets.find(({ measured }) => measured !== null);
  return last ? computePrinterScale(last.paper, last.measured!, last.correctedBy) : TRUE_SCALE;
}

async function readPlanned(
  manager: EntityManager,
  artworks: readonly DecalArtworkRow[],
  sheets: readonly DecalSheet[],
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
        const sets = countSets(chooseOption('S20', facts.decisions));
        const own = parts.filter(({ specimenId }) => specimenId === specimen.id);
        return Promise.all(
          decals.flatMap((layer) => {
            const area = areas.find(({ id }) => id === layer.areaId);
            const part = area && own.find(({ id }) => id === area.specimenPartId);
            return part ? [readOne(manager, { layer, area, part, specimen, job, sets })] : [];
          }),
        );
      }),
  );
  const found = (await Promise.all(read)).flat();
  return found.map(({ body, product, partKey, place, drawing, ...decal }) => {
    const plan = plans.find(({ layerId }) => layerId === decal.layerId) ?? null;
    const artwork = artworks.find(({ id }) => id === plan?.artworkId);
    const panel = findPanel(plan?.panel ?? null, drawing, partKey, place);
    return {
      ...{ ...decal, panel },
      fit: artwork && panel ? fitPanel(artwork, panel) : null,
      body: body && { name: body.name, hex: body.colourHex },
      plan,
      toPrint: countWanted({ ...decal, artwork: artwork ?? null, copies: plan?.copies ?? 1 }, sheets),
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
  readonly sets: number;
}

async function readOne(manager: EntityManager, { layer, area, part, specimen, job, sets }: Found) {
  const near = await manager.findBy(AreaRow, { specimenPartId: part.id });
  const layers = await manager.findBy(CoatingLayerRow, { areaId: In(near.map(({ id }) => id)) });
  const body = findColourUnder(layer, area, near, layers);
  const product = body?.productId ? await manager.findOneBy(PaintProductRow, { id: body.productId }) : null;
  return {
    ...{ layerId: layer.id, name: layer.name, sizeMm: layer.decalMm, sets },
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
