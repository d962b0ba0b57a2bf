import {
  chooseOption,
  COATING_WAY_OF,
  computeDrawnArea,
  nameOfArea,
  type ColourNeed,
  type Drawing,
  type SpecimenFacts,
} from '@sardonyx/core';
import { In, IsNull, type EntityManager } from 'typeorm';
import { CastingRow } from '../../entities/catalogue.ts';
import { JobRow } from '../../entities/work.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';
import { readFacts, readHouseRows } from '../tasks/readFacts.ts';

/** Every area of the open jobs that still gets a sprayed colour, with how much surface that is. */
export async function readColourNeeds(manager: EntityManager): Promise<ColourNeed[]> {
  const house = await readHouseRows(manager);
  const jobs = await manager.find(JobRow, { where: { signedOffAt: IsNull() }, order: { number: 'ASC' } });
  const needs: ColourNeed[] = [];
  for (const job of jobs)
    for (const specimen of await manager.findBy(SpecimenRow, { jobId: job.id })) {
      const facts = await readFacts(manager, job, specimen, house);
      if (facts.parts.some(({ coats }) => coats.some(({ kind }) => kind === 'colour')))
        needs.push(...(await listNeeds(manager, job, specimen, facts)));
    }
  return needs;
}

async function listNeeds(
  manager: EntityManager,
  job: JobRow,
  specimen: SpecimenRow,
  facts: SpecimenFacts,
): Promise<ColourNeed[]> {
  const rows = await manager.findBy(SpecimenPartRow, { specimenId: specimen.id });
  const areas = await manager.findBy(AreaRow, { specimenPartId: In(rows.map(({ id }) => id)) });
  const standing = { stage: 'applied', kind: 'colour', rejection: IsNull(), isMist: false } as const;
  const sprayed = await manager.findBy(CoatingLayerRow, { areaId: In(areas.map(({ id }) => id)), ...standing });
  const casting = specimen.castingId ? await manager.findOneBy(CastingRow, { id: specimen.castingId }) : null;
  const drawing: Drawing | null = casting?.drawing ?? null;
  const way = COATING_WAY_OF[chooseOption('S6', facts.decisions)];
  return facts.parts.flatMap((part) => {
    const partId = rows.find(({ key }) => key === part.key)?.id;
    const on = new Map<string, number>();
    for (const { areaId } of sprayed) on.set(areaId, (on.get(areaId) ?? 0) + 1);
    return part.coats.flatMap((coat): ColourNeed[] => {
      const area = areas.find((one) => one.specimenPartId === partId && nameOfArea(one) === coat.areaName);
      if (coat.kind !== 'colour' || !area) return [];
      const done = Math.min(coat.coats, on.get(area.id) ?? 0);
      on.set(area.id, (on.get(area.id) ?? 0) - done);
      return [
        {
          ...{ jobId: job.id, jobNumber: job.number, specimenName: specimen.name, partName: part.name, way },
          ...{ areaName: coat.areaName, colourHex: coat.colourHex, coatsLeft: coat.coats - done },
          size: area.size ?? (drawing && computeDrawnArea(drawing, part.key, area)),
        },
      ];
    });
  });
}
