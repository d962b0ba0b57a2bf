import { SCHOOLS } from '@sardonyx/core';
import {
  ChangeDecision,
  ChangeFinding,
  ChangeJob,
  ChangeLayer,
  ChangeMeasurement,
  ChangeObservation,
  ChangePhoto,
  ChangeSpecimen,
  ChangeSpecimenPart,
  ChangeWant,
  CreateDecision,
  CreateFinding,
  CreateLayer,
  CreateMeasurement,
  CreateObservation,
  CreateWant,
} from '@sardonyx/contract';
import { FeatureStateRow } from '../../entities/catalogue.ts';
import { DecisionRow, JobRow } from '../../entities/work.ts';
import {
  CoatingLayerRow,
  FindingRow,
  MeasurementRow,
  ObservationRow,
  PhotoRow,
  SpecimenPartRow,
  SpecimenRow,
  WantRow,
} from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';
import { fitOutSpecimen } from '../jobs/fitOutSpecimen.ts';
import { jobOfSpecimen, jobOfPart, jobOfArea, type RowKind } from './rowKind.ts';

/** What belongs to a job, a model or a part of it. */
export const JOB_ROW_KINDS: readonly RowKind[] = [
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
    path: 'measurements',
    what: 'This size',
    type: MeasurementRow,
    create: CreateMeasurement,
    change: ChangeMeasurement,
    mayDelete: true,
    movesPlan: false,
    jobOf: (manager, row: MeasurementRow) => jobOfSpecimen(manager, row.specimenId),
  },
];
