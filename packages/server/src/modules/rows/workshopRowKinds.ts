import { adviseCausticBath, getSchool, isSchoolOption, refuseLiquor } from '@sardonyx/core';
import {
  ChangeBath,
  ChangeDayWeather,
  ChangeHouseChoice,
  ChangeInstrument,
  ChangePot,
  ChangeProduct,
  ChangeRestorer,
  ChangeTool,
  ChangeVessel,
  CreateBath,
  CreateDayWeather,
  CreateHouseChoice,
  CreateInstrument,
  CreateRestorer,
  CreateTool,
  CreateVessel,
} from '@sardonyx/contract';
import { IsNull, Not } from 'typeorm';
import { DayWeatherRow } from '../../entities/evenings.ts';
import { HouseChoiceRow } from '../../entities/house.ts';
import { PaintPotRow, PaintProductRow } from '../../entities/paint.ts';
import { RestorerRow } from '../../entities/work.ts';
import { BathRow, InstrumentRow, StripPassRow, ToolRow, VesselRow } from '../../entities/workshop.ts';
import { refused } from '../../http/errors.ts';
import { noJob, type RowKind } from './rowKind.ts';
import { findRow } from './versionedRows.ts';

const common = { movesPlan: false, jobOf: noJob, mayDelete: true } as const;

/** What stands in the workshop, and what the house decides for every job. */
export const WORKSHOP_ROW_KINDS: readonly RowKind[] = [
  {
    ...common,
    path: 'tools',
    what: 'This tool',
    type: ToolRow,
    create: CreateTool,
    change: ChangeTool,
    defaults: { holds: '' },
  },
  {
    ...common,
    path: 'vessels',
    what: 'This vessel',
    type: VesselRow,
    create: CreateVessel,
    change: ChangeVessel,
    checkDelete: async (manager, row: VesselRow) => {
      if (await manager.existsBy(BathRow, { vesselId: row.id, endedAt: IsNull() }))
        throw refused('in-use', 'Not removed: a bath stands in it.');
    },
  },
  {
    ...common,
    mayDelete: false,
    path: 'baths',
    what: 'This bath',
    type: BathRow,
    create: CreateBath,
    change: ChangeBath,
    defaults: { endedAt: null },
    check: async (manager, row: BathRow) => {
      const vessel = await findRow(manager, VesselRow, row.vesselId, 'This vessel');
      if (row.endedAt !== null) {
        if (await manager.existsBy(StripPassRow, { bathId: row.id, endedAt: IsNull() }))
          throw refused('in-use', 'Something is still in it: take that out first.');
        return;
      }
      if (await manager.existsBy(BathRow, { id: Not(row.id), vesselId: row.vesselId, endedAt: IsNull() }))
        throw refused('in-use', `A bath stands in the ${vessel.name} already.`, { vesselId: 'Choose another vessel.' });
      if (row.kind === 'caustic') assertCausticMayBeMade(row, vessel);
      const overfull = refuseLiquor(vessel, row.litres);
      if (overfull) throw refused('vessel', overfull, { litres: 'Less of it, or another vessel.' });
    },
  },
  {
    ...common,
    path: 'instruments',
    what: 'This instrument',
    type: InstrumentRow,
    create: CreateInstrument,
    change: ChangeInstrument,
    check: (_, row: InstrumentRow) => {
      if (row.source === 'endpoint' && row.url === '')
        throw refused('url', 'An endpoint needs its address on this machine.', { url: 'Give the address.' });
    },
  },
  {
    ...common,
    path: 'restorers',
    what: 'This restorer',
    type: RestorerRow,
    create: CreateRestorer,
    change: ChangeRestorer,
    check: async (manager, { id, name }: RestorerRow) => {
      if (await manager.existsBy(RestorerRow, { id: Not(id), name }))
        throw refused('name', `${name} is down already.`, { name: 'Give another name.' });
    },
  },
  {
    ...common,
    path: 'day-weather',
    what: 'This day',
    type: DayWeatherRow,
    create: CreateDayWeather,
    change: ChangeDayWeather,
    check: async (manager, { id, on }: DayWeatherRow) => {
      if (await manager.existsBy(DayWeatherRow, { id: Not(id), on }))
        throw refused('on', 'The weather of that day is down already: change it.', { on: 'Another day.' });
    },
  },
  { ...common, mayDelete: false, path: 'paint-pots', what: 'This pot', type: PaintPotRow, change: ChangePot },
  {
    ...common,
    mayDelete: false,
    path: 'paint-products',
    what: 'This paint',
    type: PaintProductRow,
    change: ChangeProduct,
    // Drying times stand in every plan.
    movesAllPlans: true,
  },
  {
    ...common,
    path: 'house-choices',
    what: 'This answer of the house',
    type: HouseChoiceRow,
    create: CreateHouseChoice,
    change: ChangeHouseChoice,
    movesAllPlans: true,
    check: (_, row: HouseChoiceRow) => {
      if (!isSchoolOption(row.school, row.option))
        throw refused('option', `“${getSchool(row.school).question}” has no answer "${row.option as string}".`, {
          option: 'Choose one of its options.',
        });
    },
  },
];

/** Never glass or metal, and no hotter or stronger than may be made. */
function assertCausticMayBeMade({ litres, gramsPerLitre, waterC }: BathRow, vessel: VesselRow): void {
  if (vessel.material !== 'HDPE' && vessel.material !== 'polypropylene')
    throw refused('vessel', `Caustic stands in HDPE or polypropylene only; the ${vessel.name} is ${vessel.material}.`, {
      vesselId: 'Choose another vessel.',
    });
  const { refusals } = adviseCausticBath({ litres, gramsPerLitre, waterC });
  if (refusals.length) throw refused('caustic', refusals.join(' '));
}
