import {
  createPlanParts,
  listJoints,
  type FoundJoint,
  type Joint,
  type OpeningQuestion,
  type PlanRows,
  type Task,
  type WishForJoint,
} from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import type { JobRow } from '../../entities/work.ts';
import type { SpecimenRow } from '../../entities/workpiece.ts';

/** The driver hands out lists as JSON and truth as 0 or 1. */
type Stored<T, Json extends keyof T = never> = {
  readonly [K in keyof T]: K extends Json ? string : T[K] extends boolean ? 0 | 1 : T[K];
};
type RowOf<Name extends keyof PlanRows> = PlanRows[Name][number];

const OF_PARTS = 'WHERE specimenPartId IN (SELECT id FROM specimen_part WHERE specimenId = ?)';

/**
 * What the opening of a specimen is chosen from. Asked for at every edit of a job, so the columns are read as they are
 * stored, without the mapper's work: that was half of the time of an edit.
 */
export async function readOpeningQuestion(
  manager: EntityManager,
  job: JobRow,
  { id: specimenId, castingId }: SpecimenRow,
  decisions: OpeningQuestion['decisions'],
): Promise<OpeningQuestion> {
  const read = <T>(sql: string) => manager.query<T[]>(sql, [specimenId]);
  const areas = await read<Stored<RowOf<'areas'>>>(
    `SELECT id, specimenPartId, kind, name, crossesSeam FROM area ${OF_PARTS} ORDER BY rowid`,
  );
  const layers = await read<Stored<RowOf<'layers'>>>(
    `SELECT areaId, stage, kind, name, colourHex, factory FROM coating_layer WHERE areaId IN (SELECT id FROM area ${OF_PARTS}) ORDER BY seq, rowid`,
  );
  return {
    scope: job.scope,
    decisions,
    parts: createPlanParts({
      parts: await read<RowOf<'parts'>>(
        'SELECT id, key, name, role, material, materialCertainty, state FROM specimen_part WHERE specimenId = ? ORDER BY rowid',
      ),
      areas: areas.map((area) => ({ ...area, crossesSeam: area.crossesSeam === 1 })),
      layers: layers.map((layer) => ({ ...layer, factory: layer.factory === 1 })),
      findings: await read<RowOf<'findings'>>(
        `SELECT specimenPartId, kind, severity, note, measuredValue, measuredUnit FROM finding ${OF_PARTS} ORDER BY rowid`,
      ),
      wants: await read<RowOf<'wants'>>(
        `SELECT id, specimenPartId, what, state, dependentBits, dueOn FROM want ${OF_PARTS} ORDER BY rowid`,
      ),
    }),
    joints: listJoints(
      castingId ? await readJoints(manager, castingId) : [],
      (await read<Stored<FoundJoint, 'partKeys'>>('SELECT * FROM found_joint WHERE specimenId = ? ORDER BY rowid')).map(
        (row) => ({ ...row, partKeys: JSON.parse(row.partKeys) as string[] }),
      ),
      await read<WishForJoint>('SELECT * FROM joint_wish WHERE specimenId = ?'),
      await read<Task>("SELECT key, title, state FROM task WHERE specimenId = ? AND station = 'open'"),
    ),
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
