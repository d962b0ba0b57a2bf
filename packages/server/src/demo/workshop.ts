import {
  createSeededRandom,
  readRoom,
  type Instrument,
  type RoomLogEntry,
  type Tool,
  type VesselRecord,
} from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { RoomReadingRow } from '../entities/drying.ts';
import { HouseChoiceRow } from '../entities/house.ts';
import { BathRow, InstrumentRow, ToolRow, VesselRow } from '../entities/workshop.ts';

type Plain<T> = Omit<T, 'version'>;

const tool = (id: string, name: string, kind: Tool['kind'], more: Partial<Plain<Tool>> = {}): Plain<Tool> => ({
  ...{ id, name, kind, state: 'ready', note: '', holds: '' },
  ...more,
});

/** What stands in the workshop of the museum. */
const TOOLS: readonly Plain<Tool>[] = [
  tool('airbrush', 'Dual-action airbrush', 'airbrush', { note: 'Booth, left hook.' }),
  tool('needle', 'Spare needle', 'other', {
    state: 'lent',
    note: 'To the ship-model group, back before Factory Week.',
  }),
  tool('oven', 'Bench oven', 'oven', { note: 'Never for food; probe stays in it.' }),
  tool('rotary', 'Rotary tool', 'rotary tool'),
  tool('drill', 'Bench drill', 'drill', { note: '1 mm bit snapped last week; two left.' }),
  tool('tap', 'M2 tap and 1.66 mm drill', 'tap'),
  tool('cutter', '6 mm bit', 'other', { state: 'worn', note: 'Burns instead of cutting: next order.' }),
  tool('punch', 'Cupped punch', 'press', { note: 'In the drawer under the press.' }),
  tool('wedge', 'Wedge ground flat for tabs', 'special tool', { note: 'Made for the snowplough.' }),
  tool('fork', 'Wire fork for the skip spring', 'special tool', { state: 'to be made' }),
];

const VESSELS: readonly Plain<VesselRecord>[] = [
  {
    ...{ id: 'caustic-tub', name: 'Caustic tub', material: 'HDPE' },
    ...{ lengthMm: 150, widthMm: 100, depthMm: 100, isRound: false },
  },
  {
    ...{ id: 'tall-jar', name: 'Tall jar with lid', material: 'polypropylene' },
    ...{ lengthMm: 90, widthMm: 90, depthMm: 150, isRound: true },
  },
  {
    ...{ id: 'glass-dish', name: 'Glass dish', material: 'glass' },
    ...{ lengthMm: 180, widthMm: 120, depthMm: 50, isRound: false },
  },
];

const INSTRUMENTS: readonly Plain<Instrument>[] = [
  { id: 'oven-probe', name: 'Oven probe', kind: 'oven probe', source: 'simulated', url: '' },
  { id: 'bath-thermometer', name: 'Bath thermometer', kind: 'bath thermometer', source: 'simulated', url: '' },
  { id: 'room-thermometer', name: 'Room thermometer', kind: 'room thermometer', source: 'simulated', url: '' },
  { id: 'forecast', name: 'Weather forecast', kind: 'weather forecast', source: 'simulated', url: '' },
  { id: 'scales', name: 'Paint scales, 0.01 g', kind: 'scales', source: 'simulated', url: '' },
  { id: 'spectro', name: 'Spectrophotometer', kind: 'spectrophotometer', source: 'simulated', url: '' },
];

/** The room through the last days, an hour apart, as its thermometer would have read it. */
function readNights(now: Date): RoomLogEntry[] {
  return Array.from({ length: 72 }, (_, i) => {
    const at = new Date(now.getTime() - (72 - i) * 3_600_000 + 1_500_000);
    const { tempC, humidity } = readRoom(at, createSeededRandom(i + 1));
    return { id: `room-${i}`, version: 1, at: at.toISOString(), tempC, humidity, origin: 'simulated' };
  });
}

/** Tools, vessels, a caustic bath made up this evening, instruments, and two answers of the house. */
export async function seedWorkshop(manager: EntityManager, now: Date): Promise<void> {
  const withVersion = <T extends object>(rows: readonly T[]) => rows.map((row) => ({ version: 1, ...row }));
  await manager.insert(ToolRow, withVersion(TOOLS));
  await manager.insert(VesselRow, withVersion(VESSELS));
  await manager.insert(InstrumentRow, withVersion(INSTRUMENTS));
  await manager.insert(RoomReadingRow, readNights(now));
  await manager.insert(BathRow, {
    ...{ id: 'caustic-bath', version: 1, vesselId: 'caustic-tub', kind: 'caustic', litres: 0.7, gramsPerLitre: 50 },
    ...{ waterC: 14, madeAt: new Date(now.getTime() - 25 * 60_000).toISOString(), endedAt: null },
  });
  await manager.insert(HouseChoiceRow, {
    ...{ id: 'S4', version: 1, school: 'S4', option: 'grind one head' },
    reason: 'most axles here are sound, and new ones take a week',
  });
}
