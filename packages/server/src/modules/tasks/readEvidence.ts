import { chooseOption, countAxles, sumStock, type Evidence, type TaskMeasure } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { ColourCaptureRow } from '../../entities/colour.ts';
import { CastingPartRow } from '../../entities/catalogue.ts';
import { PhotoRow } from '../../entities/photo.ts';
import { StockThingRow } from '../../entities/stock.ts';
import { JobRow, type TaskRow } from '../../entities/work.ts';
import { SpecimenRow, WantRow } from '../../entities/workpiece.ts';
import { StripPassRow } from '../../entities/workshop.ts';
import { readStoredFacts } from './recompilePlan.ts';
import { readCoatEvidence, type CoatRows } from './readCoatEvidence.ts';

/** A step, or only whose it is where its coats alone are asked about. */
type EvidencedTask = Pick<TaskRow, 'jobId' | 'specimenId' | 'id'> & Partial<Pick<TaskRow, 'act' | 'partKeys'>>;

/** What there is of a task's specimen that can show that a step was done. */
export async function readEvidence(
  manager: EntityManager,
  { jobId, specimenId, id, act, partKeys = [] }: EvidencedTask,
  measures: readonly TaskMeasure[] = [],
): Promise<Omit<Evidence, keyof CoatRows> & CoatRows> {
  const rows = await readCoatEvidence(manager, specimenId);
  const ofParts = { specimenPartId: In(rows.parts.map((part) => part.id)) };
  const photos = await manager.findBy(PhotoRow, { jobId });
  return {
    ...rows,
    measures,
    axles: act === 'axle-in-hand' ? await readAxles(manager, { jobId, specimenId, partKeys }) : withoutAxles(jobId),
    wants: await manager.findBy(WantRow, ofParts),
    // A picture of the whole job shows all its models.
    photos: photos.filter((photo) => photo.specimenId === null || photo.specimenId === specimenId),
    hasColour: await manager.existsBy(ColourCaptureRow, ofParts),
    passes: await manager.findBy(StripPassRow, { taskId: id }),
  };
}

const withoutAxles = (jobId: string): Evidence['axles'] => ({
  ends: chooseOption('S5', {}),
  count: 1,
  things: [],
  jobId,
});

/** How the ends will be formed, how many axles the joint holds, and what lies in the drawers. */
export async function readAxles(
  manager: EntityManager,
  { jobId, specimenId, partKeys }: Pick<TaskRow, 'jobId' | 'specimenId' | 'partKeys'>,
): Promise<Evidence['axles']> {
  const specimen = await manager.findOneByOrFail(SpecimenRow, { id: specimenId });
  const job = await manager.findOneByOrFail(JobRow, { id: jobId });
  const { facts } = await readStoredFacts(manager, job, specimen);
  const parts = specimen.castingId ? await manager.findBy(CastingPartRow, { castingId: specimen.castingId }) : [];
  return {
    ends: chooseOption('S5', facts.decisions),
    count: countAxles(parts, partKeys),
    things: (await manager.findBy(StockThingRow, { kind: 'axle' })).map(({ state, ...thing }) => ({
      ...thing,
      ...sumStock(state),
    })),
    jobId,
  };
}
