import {
  selectAnswers,
  selectStatements,
  type Answer,
  type DatedStatement,
  type IdentifyCatalogue,
} from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { SourceRow, SpecimenRow } from '../../entities/workpiece.ts';
import { findRow } from '../rows/versionedRows.ts';
import { readGiven } from './readGiven.ts';
import { readIdentifyCatalogue } from './readIdentifyCatalogue.ts';

export interface Identified {
  readonly specimen: SpecimenRow;
  readonly catalogue: IdentifyCatalogue;
  readonly answers: readonly Answer[];
  readonly statements: readonly DatedStatement[];
}

/** A model with all that is to be weighed of it, as the page weighs it. */
export async function readIdentified(manager: EntityManager, specimenId: string): Promise<Identified> {
  const specimen = await findRow(manager, SpecimenRow, specimenId, 'This model');
  const catalogue = await readIdentifyCatalogue(manager, specimen.castingId);
  const givenOf = await readGiven(manager, [specimenId]);
  const answers = selectAnswers(catalogue, givenOf(specimenId));
  const statements = selectStatements(await manager.findBy(SourceRow, { specimenId }));
  return { specimen, catalogue, answers, statements };
}
