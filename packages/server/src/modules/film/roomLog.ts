import { randomUUID } from 'node:crypto';
import type { RoomLogEntry } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { RoomReadingRow } from '../../entities/drying.ts';
import { InstrumentRow } from '../../entities/workshop.ts';
import type { ReadNow } from '../instruments/readInstrument.ts';
import { refused } from '../../http/errors.ts';

/** What the workroom was like last. */
export const findLastReading = (manager: EntityManager): Promise<RoomReadingRow | null> =>
  manager.findOne(RoomReadingRow, { where: {}, order: { at: 'DESC' } });

export async function logRoom(
  manager: EntityManager,
  reading: Omit<RoomLogEntry, 'id' | 'version'>,
): Promise<RoomReadingRow> {
  const row = manager.create(RoomReadingRow, { id: randomUUID(), version: 1, ...reading });
  await manager.insert(RoomReadingRow, row);
  return row;
}

/** Reads the room's thermometer; null where there is none. Throws the refusal when it gives no reading. */
export async function readThermometer(
  manager: EntityManager,
  readNow: ReadNow,
  now: Date,
): Promise<Omit<RoomLogEntry, 'id' | 'version'> | null> {
  const instrument = await manager.findOneBy(InstrumentRow, { kind: 'room thermometer' });
  if (!instrument) return null;
  try {
    const reading = await readNow(instrument, now);
    if (!('celsius' in reading)) return null;
    return {
      ...{ at: reading.at, tempC: reading.celsius, humidity: reading.humidity ?? null },
      origin: instrument.source === 'simulated' ? 'simulated' : 'measured',
    };
  } catch (fault) {
    throw refused('no-reading', `${instrument.name} gives no reading: ${(fault as Error).message}.`);
  }
}
