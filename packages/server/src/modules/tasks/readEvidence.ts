import type { Evidence, TaskMeasure } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { ColourCaptureRow } from '../../entities/colour.ts';
import { PhotoRow } from '../../entities/photo.ts';
import type { TaskRow } from '../../entities/work.ts';
import { WantRow } from '../../entities/workpiece.ts';
import { StripPassRow } from '../../entities/workshop.ts';
import { readAxleQuestion } from './readAxleQuestion.ts';
import { NO_AXLES } from './readAxles.ts';
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
    axles: act === 'axle-in-hand' ? await readAxleQuestion(manager, { jobId, specimenId, id, partKeys }) : NO_AXLES,
    wants: await manager.findBy(WantRow, ofParts),
    // A picture of the whole job shows all its models.
    photos: photos.filter((photo) => photo.specimenId === null || photo.specimenId === specimenId),
    hasColour: await manager.existsBy(ColourCaptureRow, ofParts),
    passes: await manager.findBy(StripPassRow, { taskId: id }),
  };
}
