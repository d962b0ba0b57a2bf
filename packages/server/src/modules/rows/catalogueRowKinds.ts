import {
  ChangeCasting,
  ChangeFeature,
  ChangeFeatureState,
  ChangeHistory,
  ChangeHouseStyle,
  ChangeSource,
  ChangeVariant,
  CreateFeature,
  CreateFeatureState,
  CreateSource,
  CreateVariant,
} from '@sardonyx/contract';
import { isTimeZone } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { CastingRow, FeatureRow, FeatureStateRow, HistoryRow, VariantRow } from '../../entities/catalogue.ts';
import { HouseStyleRow } from '../../entities/house.ts';
import { ObservationRow, SourceRow, SpecimenRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';
import { noJob, jobOfSpecimen, type RowKind } from './rowKind.ts';
import { findRow } from './versionedRows.ts';

/** What is known of castings, and what holds for the whole house. */
export const CATALOGUE_ROW_KINDS: readonly RowKind[] = [
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
          `Not removed: ${here === 1 ? 'a model on your bench is' : `${here} models on your bench are`} of this casting.`,
        );
    },
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
    defaults: { colour: null, size: null },
    check: async (manager, row: FeatureStateRow) => {
      checkYears(row.fromYear, row.toYear, 'toYear');
      if (row.colour?.specimenId) await findRow(manager, SpecimenRow, row.colour.specimenId, 'This model');
    },
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
    check: (_, row: HouseStyleRow) => {
      if (!isTimeZone(row.zone))
        throw refused('zone', `"${row.zone}" is no time zone.`, { zone: 'A name such as Europe/Lisbon.' });
    },
  },
];

function checkYears(from: number | null, to: number | null, field: string): void {
  if (from !== null && to !== null && from > to)
    throw refused('years', `${to} is before ${from}. Nothing was saved.`, { [field]: `Not before ${from}.` });
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
