import { dryTasks, type FilmSpans } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { TaskRow } from '../../entities/work.ts';
import { readCoatEvidence } from '../tasks/readCoatEvidence.ts';
import { readStandingCoats } from './readStandingCoats.ts';

export type DryTask = TaskRow & { readonly film?: FilmSpans };

/** The tasks of a model, with when the coats that they left bear what. */
export async function readDryTasks(manager: EntityManager, specimenId: string): Promise<DryTask[]> {
  const tasks = await manager.findBy(TaskRow, { specimenId });
  const rows = await readCoatEvidence(manager, specimenId);
  return dryTasks(tasks, rows, await readStandingCoats(manager, rows.layers));
}
