import { checkDrawnStays, checkNothingDrawn, getSchool, isSameLook, isSchoolOption, listAreasOf } from '@sardonyx/core';
import { ColourCaptureRow } from '../../entities/colour.ts';
import {
  ChangeComingOff,
  ChangeArea,
  ChangeDecision,
  ChangeFinding,
  ChangeJob,
  ChangeJointCondition,
  ChangeJointWish,
  ChangeLayer,
  ChangeMeasurement,
  ChangeObservation,
  ChangePhoto,
  ChangePhotoMeasure,
  ChangeSpecimen,
  ChangeSpecimenPart,
  ChangeWant,
  CreateComingOff,
  CreateArea,
  CreateTouch,
  CreateDecision,
  CreateFinding,
  CreateFoundJoint,
  CreateJointCondition,
  CreateJointWish,
  CreateLayer,
  CreateMeasurement,
  CreateObservation,
  CreatePhotoMeasure,
  CreateWant,
} from '@sardonyx/contract';
import { FeatureRow, FeatureStateRow } from '../../entities/catalogue.ts';
import { DecisionRow, JobRow } from '../../entities/work.ts';
import { ComingOffRow, FoundJointRow, JointConditionRow, JointWishRow } from '../../entities/opening.ts';
import { PhotoMeasureRow, PhotoRow } from '../../entities/photo.ts';
import {
  AreaRow,
  CoatingLayerRow,
  FindingRow,
  MeasurementRow,
  ObservationRow,
  SpecimenPartRow,
  SpecimenRow,
  WantRow,
} from '../../entities/workpiece.ts';
import { In, Not, type EntityManager } from 'typeorm';
import { CoatTouchRow } from '../../entities/drying.ts';
import { refuseAll, refused } from '../../http/errors.ts';
import { fitOutSpecimen } from '../jobs/fitOutSpecimen.ts';
import { assertSettledKnown } from '../jobs/assertSettledKnown.ts';
import { assertJointIsKnown, assertPartsAreThere } from '../jobs/jointRules.ts';
import { dropUntouchedWant, wantPart, wantWhatIsGone } from '../jobs/wantWhatIsGone.ts';
import { assertSpansPlane, measureAgain, measureAllAgain, storeMeasure } from '../photos/photoMeasures.ts';
import { assertTouched } from '../coats/assertTouched.ts';
import { BLANK_LAYER } from '../coats/blankRows.ts';
import { takePlace } from '../coats/takePlace.ts';
import { findRow } from './versionedRows.ts';
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
    defaults: { captureIds: [], size: null },
    jobOf: (manager, row: ObservationRow) => jobOfSpecimen(manager, row.specimenId),
    check: async (manager, row: ObservationRow) => {
      await assertCapturesAreIts(manager, row);
      if (row.stateId === null) return;
      const state = await manager.findOneBy(FeatureStateRow, { id: row.stateId });
      const [asked, known] = await Promise.all(
        [row.featureId, state?.featureId ?? ''].map((id) => manager.findOneBy(FeatureRow, { id })),
      );
      // Several ranges may know one look; what is seen may be known to another of them.
      if (!asked || !known || !isSameLook(asked, known))
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
    defaults: {
      ...{ feature: '', carriesLoad: null, mend: null },
      ...{ pinnedTo: null, pinX: null, pinY: null, measuredValue: null, measuredUnit: null },
    },
    jobOf: (manager, row: FindingRow) => jobOfPart(manager, row.specimenPartId),
    afterSave: wantWhatIsGone,
    checkDelete: dropUntouchedWant,
  },
  {
    path: 'wants',
    what: 'This want',
    type: WantRow,
    create: CreateWant,
    change: ChangeWant,
    mayDelete: true,
    movesPlan: true,
    defaults: { kind: 'part', feature: '', origin: null, getBy: null, bits: [], price: null, taken: null },
    jobOf: (manager, row: WantRow) => jobOfPart(manager, row.specimenPartId),
    afterSave: async (_, row: WantRow, before: WantRow | null) => refuseAll(checkDrawnStays(row, before)),
    checkDelete: async (_, row: WantRow) => refuseAll(checkNothingDrawn(row)),
    check: (_, row: WantRow) => {
      if (row.state === 'solved' && row.origin === null)
        throw refused('origin', 'A want is solved with where it came from: it goes into the record.', {
          origin: 'Say where it came from.',
        });
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
      if (!isSchoolOption(row.school, row.option))
        throw refused('option', `“${getSchool(row.school).question}” has no answer "${row.option as string}".`, {
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
    afterSave: async (manager, row: SpecimenPartRow, before: SpecimenPartRow) => {
      if (row.state === 'missing' && before.state !== 'missing') await wantPart(manager, row, `${row.id}.want`);
    },
  },
  {
    path: 'areas',
    what: 'This area',
    type: AreaRow,
    create: CreateArea,
    change: ChangeArea,
    mayDelete: true,
    movesPlan: true,
    jobOf: (manager, row: AreaRow) => jobOfPart(manager, row.specimenPartId),
    check: async (manager, row: AreaRow) => {
      const part = await findRow(manager, SpecimenPartRow, row.specimenPartId, 'This part');
      const twin = await manager.findOneBy(AreaRow, { specimenPartId: part.id, name: row.name, id: Not(row.id) });
      if (twin)
        throw refused('same-name', `The ${part.name.toLowerCase()} has an area of that name already.`, {
          name: 'Give it another name.',
        });
      const isFace = row.kind !== 'mask';
      if (isFace && (await manager.existsBy(AreaRow, { specimenPartId: part.id, kind: row.kind, id: Not(row.id) })))
        throw refused('same-face', `The ${part.name.toLowerCase()} has its ${row.kind} already.`);
    },
    checkDelete: async (manager, row: AreaRow) => {
      const { role, material } = await findRow(manager, SpecimenPartRow, row.specimenPartId, 'This part');
      if (listAreasOf(role, material).includes(row.kind))
        throw refused('own-face', 'The faces of a part stay; what was drawn on it can go.');
      const stages = ['found', 'applied'] as const;
      if (await manager.existsBy(CoatingLayerRow, { areaId: row.id, stage: In(stages) }))
        throw refused('in-use', 'Not removed: coats lie on it, and they are in the record.');
    },
  },
  {
    path: 'layers',
    what: 'This layer',
    type: CoatingLayerRow,
    create: CreateLayer,
    change: ChangeLayer,
    mayDelete: true,
    movesPlan: true,
    defaults: {
      ...BLANK_LAYER,
      whose: 'unknown',
    },
    jobOf: (manager, row: CoatingLayerRow) => jobOfArea(manager, row.areaId),
    isLogged: (row: CoatingLayerRow) => row.stage === 'applied',
    check: assertDecalHasItsName,
    afterSave: takePlace,
  },
  {
    path: 'coat-touches',
    what: 'This touch',
    type: CoatTouchRow,
    create: CreateTouch,
    mayDelete: true,
    movesPlan: false,
    // What a finger finds teaches how a paint dries, wherever it is.
    isSeenInAll: true,
    jobOf: async (manager, row: CoatTouchRow) =>
      jobOfArea(manager, (await findRow(manager, CoatingLayerRow, row.layerId, 'This coat')).areaId),
    check: assertTouched,
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
    check: assertSettledKnown,
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
    check: (_, row: PhotoRow) => assertSpansPlane(row),
    afterSave: (manager, row: PhotoRow) => measureAllAgain(manager, row),
  },
  {
    path: 'photo-measures',
    what: 'This measure',
    type: PhotoMeasureRow,
    create: CreatePhotoMeasure,
    change: ChangePhotoMeasure,
    mayDelete: true,
    movesPlan: false,
    jobOf: async (manager, row: PhotoMeasureRow) => (await findRow(manager, PhotoRow, row.photoId, 'This photo')).jobId,
    check: measureAgain,
    afterSave: (manager, row: PhotoMeasureRow) => storeMeasure(manager, row),
  },
  {
    path: 'joint-wishes',
    what: 'This wish',
    type: JointWishRow,
    create: CreateJointWish,
    change: ChangeJointWish,
    mayDelete: true,
    movesPlan: true,
    jobOf: (manager, row: JointWishRow) => jobOfSpecimen(manager, row.specimenId),
    check: assertJointIsKnown,
  },
  {
    path: 'joint-conditions',
    what: 'This finding of a joint',
    type: JointConditionRow,
    create: CreateJointCondition,
    change: ChangeJointCondition,
    mayDelete: true,
    movesPlan: true,
    jobOf: (manager, row: JointConditionRow) => jobOfSpecimen(manager, row.specimenId),
    check: assertJointIsKnown,
  },
  {
    path: 'found-joints',
    what: 'This joint',
    type: FoundJointRow,
    create: CreateFoundJoint,
    mayDelete: true,
    movesPlan: true,
    jobOf: (manager, row: FoundJointRow) => jobOfSpecimen(manager, row.specimenId),
    check: assertPartsAreThere,
  },
  {
    path: 'comings-off',
    what: 'This note',
    type: ComingOffRow,
    create: CreateComingOff,
    change: ChangeComingOff,
    mayDelete: true,
    movesPlan: false,
    jobOf: (manager, row: ComingOffRow) => jobOfPart(manager, row.specimenPartId),
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

async function assertCapturesAreIts(manager: EntityManager, row: ObservationRow): Promise<void> {
  if (row.captureIds.length === 0) return;
  const captures = await manager.findBy(ColourCaptureRow, { id: In(row.captureIds) });
  const parts = await manager.findBy(SpecimenPartRow, { specimenId: row.specimenId });
  const areIts = captures.every((capture) => parts.some(({ id }) => id === capture.specimenPartId));
  if (captures.length !== new Set(row.captureIds).size || !areIts)
    throw refused('captures', 'Only colours that were captured on this model can answer a look at it.', {
      captureIds: 'Choose among the colours kept of this model.',
    });
}

/** Each planned decal is a step of its own: two of one name on one area could not be told apart. */
async function assertDecalHasItsName(manager: EntityManager, row: CoatingLayerRow): Promise<void> {
  if (row.kind !== 'decal' || row.stage !== 'planned') return;
  const same = { areaId: row.areaId, stage: 'planned', kind: 'decal', name: row.name, id: Not(row.id) } as const;
  if (await manager.existsBy(CoatingLayerRow, same))
    throw refused('double', `A decal called “${row.name}” is planned there already.`, {
      name: 'Name it apart: left, right, front, rear.',
    });
}
