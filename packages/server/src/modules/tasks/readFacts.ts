import {
  createSpecimenFacts,
  TELLING_ACTS,
  type Area,
  type BenchSession,
  type DryingSheet,
  type HouseChoice,
  type HouseRows,
  type Joint,
  type OpticsRecord,
  type SpecimenFacts,
  type SpecimenRows,
  type TaskLog,
} from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import type { JobRow } from '../../entities/work.ts';
import { readDrawing } from '../catalogue/readDrawing.ts';
import type { SpecimenRow } from '../../entities/workpiece.ts';

/** The driver hands out lists as JSON and truth as 0 or 1. */
type Stored<T, Json extends keyof T = never> = {
  readonly [K in keyof T]: K extends Json
    ? null extends T[K]
      ? string | null
      : string
    : T[K] extends boolean
      ? 0 | 1
      : T[K];
};
type RowOf<Name extends Exclude<keyof SpecimenRows, 'hasSecondWheels' | 'drawing'>> = SpecimenRows[Name][number];

const OF_PARTS = 'WHERE specimenPartId IN (SELECT id FROM specimen_part WHERE specimenId = ?)';
const TELLING = TELLING_ACTS.map((act) => `'${act}'`).join(', ');

/**
 * The facts of a specimen. Asked for at every edit of a job, so the columns are read as they are stored, without the
 * mapper's work: that was half of the time of an edit.
 */
export async function readFacts(
  manager: EntityManager,
  job: Pick<JobRow, 'id' | 'scope' | 'target'>,
  specimen: Pick<SpecimenRow, 'id' | 'castingId'>,
  house?: HouseRows,
): Promise<SpecimenFacts> {
  return createSpecimenFacts(await readRows(manager, job.id, specimen), house ?? (await readHouseRows(manager)), {
    scope: job.scope,
    target: job.target,
    decisions: await manager.query<HouseChoice[]>('SELECT school, option, reason FROM decision WHERE jobId = ?', [
      job.id,
    ]),
  });
}

async function readRows(
  manager: EntityManager,
  jobId: string,
  { id, castingId }: Pick<SpecimenRow, 'id' | 'castingId'>,
): Promise<SpecimenRows> {
  const read = <T>(sql: string) => manager.query<T[]>(sql, [id]);
  const areas = await read<Stored<RowOf<'areas'>, 'size' | 'outline'>>(
    `SELECT id, specimenPartId, kind, name, crossesSeam, size, outline FROM area ${OF_PARTS} ORDER BY rowid`,
  );
  const layers = await read<Stored<RowOf<'layers'>, 'rejection'>>(
    `SELECT id, areaId, stage, seq, kind, name, colourHex, whose, productId, coats, appliedAt, rejection, removedAt, EXISTS (SELECT 1 FROM decal_plan WHERE layerId = coating_layer.id AND artworkId IS NOT NULL) AS hasArtwork FROM coating_layer WHERE areaId IN (SELECT id FROM area ${OF_PARTS}) ORDER BY seq, rowid`,
  );
  return {
    parts: (
      await read<Stored<RowOf<'parts'>>>(
        'SELECT id, key, name, role, material, materialCertainty, state, isKept FROM specimen_part WHERE specimenId = ? ORDER BY rowid',
      )
    ).map((part) => ({ ...part, isKept: part.isKept === 1 })),
    areas: areas.map((area) => ({
      ...area,
      crossesSeam: area.crossesSeam === 1,
      size: readJson<Area['size']>(area.size),
      outline: readJson<Area['outline']>(area.outline),
    })),
    layers: layers.map((layer) => ({
      ...layer,
      hasArtwork: Boolean(layer.hasArtwork),
      rejection: layer.rejection ? (JSON.parse(layer.rejection) as RowOf<'layers'>['rejection']) : null,
    })),
    paints: (
      await read<Stored<RowOf<'paints'>, 'drying' | 'optics'>>(
        `SELECT id, kind, binder, gloss, colourHex, dryFilmUm, densityGPerMl, dropMl, flashMin, recoatMin, cureMin, drying, optics FROM paint_product
         WHERE id IN (SELECT productId FROM coating_layer WHERE stage = 'planned' AND areaId IN (SELECT id FROM area ${OF_PARTS}))`,
      )
    ).map((row) => ({
      ...row,
      drying: row.drying ? (JSON.parse(row.drying) as DryingSheet) : null,
      optics: row.optics ? (JSON.parse(row.optics) as OpticsRecord) : null,
    })),
    drawing: castingId ? await readDrawing(manager, castingId) : null,
    findings: (
      await read<Stored<RowOf<'findings'>>>(
        `SELECT id, specimenPartId, kind, feature, severity, note, measuredValue, measuredUnit, carriesLoad, mend FROM finding ${OF_PARTS} ORDER BY rowid`,
      )
    ).map((finding) => ({
      ...finding,
      carriesLoad: finding.carriesLoad === null ? null : Boolean(finding.carriesLoad),
    })),
    wants: (
      await read<Stored<RowOf<'wants'>, 'bits'>>(
        `SELECT id, specimenPartId, kind, feature, what, getBy, state, bits, dueOn, origin FROM want ${OF_PARTS} ORDER BY rowid`,
      )
    ).map((want) => ({ ...want, bits: JSON.parse(want.bits) as RowOf<'wants'>['bits'] })),
    joints: castingId ? await readJoints(manager, castingId) : [],
    foundJoints: (
      await read<Stored<RowOf<'foundJoints'>, 'partKeys'>>(
        'SELECT id, label, kind, partKeys FROM found_joint WHERE specimenId = ? ORDER BY rowid',
      )
    ).map((row) => ({ ...row, partKeys: JSON.parse(row.partKeys) as string[] })),
    jointWishes: await read<RowOf<'jointWishes'>>('SELECT jointKey, wish FROM joint_wish WHERE specimenId = ?'),
    jointConditions: await read<RowOf<'jointConditions'>>(
      'SELECT jointKey, condition FROM joint_condition WHERE specimenId = ?',
    ),
    hasSecondWheels: await hasSecondWheels(manager, jobId, { id, castingId }),
    // In the order in which it was written: a coat that was logged late has an earlier hour.
    log: (
      await read<Stored<TaskLog, 'work'>>(
        `SELECT task_log.* FROM task_log JOIN task ON task.id = task_log.taskId
         WHERE task.specimenId = ? AND task.act IN (${TELLING}) ORDER BY task_log.seq`,
      )
    ).map((row) => ({ ...row, work: JSON.parse(row.work) as TaskLog['work'] })),
  };
}

const readJson = <T>(text: string | null): T | null => (text === null ? null : (JSON.parse(text) as T));

/** Wheels on another example: one of the same job, or a donor of the same casting. */
async function hasSecondWheels(
  manager: EntityManager,
  jobId: string,
  { id, castingId }: Pick<SpecimenRow, 'id' | 'castingId'>,
): Promise<boolean> {
  const found = await manager.query<unknown[]>(
    `SELECT 1 FROM specimen_part part JOIN specimen ON specimen.id = part.specimenId
     WHERE part.role = 'wheel' AND part.state != 'missing' AND specimen.id != ?
       AND (specimen.jobId = ? OR (specimen.isDonor = 1 AND specimen.castingId = ?)) LIMIT 1`,
    [id, jobId, castingId],
  );
  return found.length > 0;
}

/** What the house knows and decides. */
export async function readHouseRows(manager: EntityManager): Promise<HouseRows> {
  const restorers = await manager.query<{ sessions: string }[]>('SELECT sessions FROM restorer');
  return {
    choices: await manager.query<HouseChoice[]>('SELECT school, option, reason FROM house_choice'),
    restorers: restorers.map(({ sessions }) => ({ sessions: JSON.parse(sessions) as BenchSession[] })),
  };
}

async function readJoints(manager: EntityManager, castingId: string) {
  const rows = await manager.query<Stored<Joint, 'partKeys' | 'ways'>[]>(
    'SELECT key, label, kind, partKeys, ways FROM joint WHERE castingId = ? ORDER BY rowid',
    [castingId],
  );
  return rows.map((row) => ({
    ...row,
    partKeys: JSON.parse(row.partKeys) as string[],
    ways: JSON.parse(row.ways) as Joint['ways'],
  }));
}
