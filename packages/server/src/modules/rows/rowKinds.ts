import { SCHOOLS } from '@sardonyx/core';
import {
  ChangeCasting,
  ChangeDecision,
  ChangeFeature,
  ChangeFeatureState,
  ChangeFinding,
  ChangeHistory,
  ChangeHouseStyle,
  ChangeJob,
  ChangeLayer,
  ChangeMeasurement,
  ChangeObservation,
  ChangePhoto,
  ChangeSource,
  ChangeSpecimen,
  ChangeSpecimenPart,
  ChangeVariant,
  ChangeWant,
  CreateDecision,
  CreateFeature,
  CreateFeatureState,
  CreateFinding,
  CreateLayer,
  CreateMeasurement,
  CreateObservation,
  CreateSource,
  CreateVariant,
  CreateWant,
} from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import { CastingRow, FeatureRow, FeatureStateRow, HistoryRow, VariantRow } from '../../entities/catalogue.ts';
import { HouseStyleRow } from '../../entities/house.ts';
import type { VersionedRow } from '../../entities/versionedRow.ts';
import { DecisionRow, JobRow } from '../../entities/work.ts';
import {
  CoatingLayerRow,
  FindingRow,
  MeasurementRow,
  ObservationRow,
  PhotoRow,
  SourceRow,
  SpecimenPartRow,
  SpecimenRow,
  WantRow,
} from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';
import { fitOutSpecimen } from '../jobs/fitOutSpecimen.ts';
import { findRow, type RowClass } from './versionedRows.ts';

/** One noun that people edit: its table, its request classes, and what must be looked at when it changes. */
export interface RowKind {
  readonly path: string;
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
  /** Rules between fields; throws a refusal. */
  readonly check?: (manager: EntityManager, row: never) => Promise<void> | void;
  /** Rows that stand as they were logged: neither changed nor removed. */
  readonly isLogged?: (row: never) => boolean;
  /** Rules for taking it away; throws a refusal. */
  readonly checkDelete?: (manager: EntityManager, row: never) => Promise<void>;
  /** What else follows from a saved row. */
  readonly afterSave?: (manager: EntityManager, row: never, before: never) => Promise<void>;
}

/** The job that a specimen, part or area belongs to; asked at every edit, so in one statement. */
const findJob = (joins: string, table: string) => async (manager: EntityManager, id: string) => {
  const sql = `SELECT specimen.jobId FROM specimen ${joins} WHERE ${table}.id = ?`;
  const [found] = (await manager.query(sql, [id])) as { jobId: string | null }[];
  return found?.jobId ?? null;
};
const PART = 'JOIN specimen_part ON specimen_part.specimenId = specimen.id';
const jobOfSpecimen = findJob('', 'specimen');
const noJob = async () => null;
const jobOfPart = findJob(PART, 'specimen_part');
const jobOfArea = findJob(`${PART} JOIN area ON area.specimenPartId = specimen_part.id`, 'area');

export const ROW_KINDS: readonly RowKind[] = [
  {
    path: 'observations',
    what: 'This look',
    type: ObservationRow,
    create: CreateObservation,
    change: ChangeObservation,
    mayDelete: true,
    movesPlan: false,
    jobOf: (manager, row: ObservationRow) => jobOfSpecimen(manager, row.specimenId),
    check: async (manager, row: ObservationRow) => {
      if (row.stateId === null) return;
      if (!(await manager.existsBy(FeatureStateRow, { id: row.stateId, featureId: row.featureId })))
        throw refused('state', 'This cannot be seen at that place.', { stateId: 'Choose one of its states.' });
    },
  },
  {
    path: 'findings',
    what: 'This finding',
    type: FindingRow,
    create: CreateFinding,
    change: ChangeFinding,
    mayDelete: true,
    movesPlan: true,
    jobOf: (manager, row: FindingRow) => jobOfPart(manager, row.specimenPartId),
  },
  {
    path: 'wants',
    what: 'This want',
    type: WantRow,
    create: CreateWant,
    change: ChangeWant,
    mayDelete: true,
    movesPlan: true,
    jobOf: (manager, row: WantRow) => jobOfPart(manager, row.specimenPartId),
    check: (_, row: WantRow) => {
      if (row.state === 'waived' && row.reason.trim() === '')
        throw refused('reason', 'A want is waived with a reason: it goes into the record.', {
          reason: 'Give the reason.',
        });
    },
  },
  {
    path: 'decisions',
    what: 'This decision',
    type: DecisionRow,
    create: CreateDecision,
    change: ChangeDecision,
    mayDelete: true,
    movesPlan: true,
    jobOf: async (_, row: DecisionRow) => row.jobId,
    check: (_, row: DecisionRow) => {
      const school = SCHOOLS.find((candidate) => candidate.key === row.school);
      if (!school?.options.includes(row.option))
        throw refused('option', `${row.school} has no option "${row.option}".`, {
          option: 'Choose one of its options.',
        });
    },
  },
  {
    path: 'specimen-parts',
    what: 'This part',
    type: SpecimenPartRow,
    change: ChangeSpecimenPart,
    movesPlan: true,
    jobOf: (manager, row: SpecimenPartRow) => jobOfSpecimen(manager, row.specimenId),
  },
  {
    path: 'layers',
    what: 'This layer',
    type: CoatingLayerRow,
    create: CreateLayer,
    change: ChangeLayer,
    mayDelete: true,
    movesPlan: true,
    defaults: { factory: false, tempC: null, appliedAt: null, appliedBy: null, note: '' },
    jobOf: (manager, row: CoatingLayerRow) => jobOfArea(manager, row.areaId),
    isLogged: (row: CoatingLayerRow) => row.stage === 'applied',
  },
  {
    path: 'jobs',
    what: 'This job',
    type: JobRow,
    change: ChangeJob,
    movesPlan: true,
    jobOf: async (_, row: JobRow) => row.id,
  },
  {
    path: 'specimens',
    what: 'This model',
    type: SpecimenRow,
    change: ChangeSpecimen,
    movesPlan: true,
    jobOf: async (_, row: SpecimenRow) => row.jobId,
    afterSave: async (manager, row: SpecimenRow, before: SpecimenRow) => {
      if (row.castingId && row.castingId !== before.castingId) await fitOutSpecimen(manager, row);
    },
  },
  {
    path: 'photos',
    what: 'This photo',
    type: PhotoRow,
    change: ChangePhoto,
    mayDelete: true,
    movesPlan: false,
    jobOf: async (_, row: PhotoRow) => row.jobId,
  },
  {
    path: 'castings',
    what: 'This casting',
    type: CastingRow,
    change: ChangeCasting,
    mayDelete: true,
    movesPlan: false,
    jobOf: noJob,
    checkDelete: async (manager, row: CastingRow) => {
      const here = await manager.countBy(SpecimenRow, { castingId: row.id });
      if (here > 0)
        throw refused(
          'in-use',
          `Not removed: ${here} ${here === 1 ? 'model' : 'models'} on your shelf are of this casting.`,
        );
    },
  },
  {
    path: 'measurements',
    what: 'This size',
    type: MeasurementRow,
    create: CreateMeasurement,
    change: ChangeMeasurement,
    mayDelete: true,
    movesPlan: false,
    jobOf: (manager, row: MeasurementRow) => jobOfSpecimen(manager, row.specimenId),
  },
  {
    path: 'sources',
    what: 'This statement',
    type: SourceRow,
    create: CreateSource,
    change: ChangeSource,
    mayDelete: true,
    movesPlan: false,
    jobOf: async (manager, row: SourceRow) => (row.specimenId ? jobOfSpecimen(manager, row.specimenId) : null),
    check: checkSource,
  },
  {
    path: 'features',
    what: 'This feature',
    type: FeatureRow,
    create: CreateFeature,
    change: ChangeFeature,
    mayDelete: true,
    movesPlan: false,
    jobOf: noJob,
    checkDelete: async (manager, row: FeatureRow) => {
      if (await manager.existsBy(ObservationRow, { featureId: row.id }))
        throw refused('in-use', 'Not removed: models were looked at for it, and their looks would go with it.');
    },
  },
  {
    path: 'feature-states',
    what: 'This state',
    type: FeatureStateRow,
    create: CreateFeatureState,
    change: ChangeFeatureState,
    mayDelete: true,
    movesPlan: false,
    jobOf: noJob,
    check: (_, row: FeatureStateRow) => checkYears(row.fromYear, row.toYear, 'toYear'),
    checkDelete: async (manager, row: FeatureStateRow) => {
      if (await manager.existsBy(ObservationRow, { stateId: row.id }))
        throw refused('in-use', 'Not removed: it was seen on a model, and that look would lose what it saw.');
    },
  },
  {
    path: 'variants',
    what: 'This issue',
    type: VariantRow,
    create: CreateVariant,
    change: ChangeVariant,
    mayDelete: true,
    movesPlan: false,
    jobOf: noJob,
    check: (_, row: VariantRow) => {
      checkYears(row.startEarliest, row.startLatest, 'startLatest');
      checkYears(row.startLatest, row.endEarliest, 'endEarliest');
      checkYears(row.endEarliest, row.endLatest, 'endLatest');
    },
  },
  {
    path: 'histories',
    what: 'This history',
    type: HistoryRow,
    change: ChangeHistory,
    movesPlan: false,
    jobOf: noJob,
  },
  {
    path: 'house-style',
    what: 'The house style',
    type: HouseStyleRow,
    change: ChangeHouseStyle,
    movesPlan: false,
    jobOf: noJob,
  },
];

function checkYears(from: number | null, to: number | null, field: string): void {
  if (from !== null && to !== null && from > to)
    throw refused('years', `Not saved: ${to} is before ${from}.`, { [field]: `Not before ${from}.` });
}

/** A statement is about one specimen, or about a casting and perhaps one of its variants. */
async function checkSource(manager: EntityManager, row: SourceRow): Promise<void> {
  checkYears(row.fromYear, row.toYear, 'toYear');
  if ((row.specimenId === null) === (row.castingId === null))
    throw refused('about', 'A statement is about one model or about one casting.', {
      statement: 'Say what it is about.',
    });
  if (row.variantId && !(await manager.existsBy(VariantRow, { id: row.variantId, castingId: row.castingId! })))
    throw refused('about', 'This issue is not one of that casting.', { variantId: 'Choose one of its issues.' });
}

/** Signed-off jobs are closed: their rows are read, not changed. */
export async function assertJobIsOpen(manager: EntityManager, jobId: string | null): Promise<void> {
  if (!jobId) return;
  const job = await findRow(manager, JobRow, jobId, 'This job');
  if (job.signedOffAt) throw refused('signed-off', `${job.number} is signed off; its record stands as it is.`);
}
