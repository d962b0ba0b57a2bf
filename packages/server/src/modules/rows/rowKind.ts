import type { NounPath } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import type { VersionedRow } from '../../entities/versionedRow.ts';
import { type RowClass } from './versionedRows.ts';

/** One noun that people edit: its table, its request classes, and what must be looked at when it changes. */
export interface RowKind {
  readonly path: NounPath;
  readonly what: string;
  readonly type: RowClass<VersionedRow>;
  readonly create?: new () => object;
  readonly change?: new () => { version: number };
  readonly mayDelete?: boolean;
  /** Values for columns that the request does not carry. */
  readonly defaults?: object;
  /** The job whose plan depends on this row; null when none does. */
  readonly jobOf: (manager: EntityManager, row: never) => Promise<string | null>;
  /** Changes the plan when it changes. */
  readonly movesPlan: boolean;
  /** Changes the plan of every open job when it changes. */
  readonly movesAllPlans?: true;
  /** Other jobs are shown otherwise when it changes, though their plans stay. */
  readonly isSeenInAll?: true;
  /** Rules between fields; throws a refusal. */
  readonly check?: (manager: EntityManager, row: never, now: Date) => Promise<void> | void;
  /** Rows that stand as they were logged: neither changed nor removed. */
  readonly isLogged?: (row: never) => boolean;
  /** Rules for taking it away, and what goes with it; throws a refusal. */
  readonly checkDelete?: (manager: EntityManager, row: never) => Promise<void>;
  /** What else follows from a saved row; before is null for a new one. */
  readonly afterSave?: (manager: EntityManager, row: never, before: never) => Promise<void>;
}

/** The job that a specimen, part or area belongs to; asked at every edit, so in one statement. */
const findJob = (joins: string, table: string) => async (manager: EntityManager, id: string) => {
  const sql = `SELECT specimen.jobId FROM specimen ${joins} WHERE ${table}.id = ?`;
  const [found] = (await manager.query(sql, [id])) as { jobId: string | null }[];
  return found?.jobId ?? null;
};
const PART = 'JOIN specimen_part ON specimen_part.specimenId = specimen.id';
export const jobOfSpecimen = findJob('', 'specimen');
export const noJob = async () => null;
export const jobOfPart = findJob(PART, 'specimen_part');
export const jobOfArea = findJob(`${PART} JOIN area ON area.specimenPartId = specimen_part.id`, 'area');
