import {
  COLD_OVEN,
  computeBathC,
  createSeededRandom,
  EMPTY_SCALES,
  beginPour,
  pourOn,
  readRoom,
  runOven,
  showGrams,
  type OvenState,
  type RandomSource,
  type Reading,
  type ScalesState,
} from '@sardonyx/core';
import { IsNull, type EntityManager } from 'typeorm';
import { BathRow, type InstrumentRow } from '../../entities/workshop.ts';
import { fetchReading } from './fetchReading.ts';

/** The one interface of every instrument: what it reads now. Throws when it gives no answer. */
export type ReadNow = (instrument: InstrumentRow, now: Date) => Promise<Reading>;

const ROOM_C = 20;
interface RunningOven {
  state: OvenState;
  at: number;
}

interface RunningScales {
  state: ScalesState;
  at: number;
  readonly random: RandomSource;
}

/** The instruments of one bench: simulated ones remember how warm they are, the others are asked. */
export function createInstruments(getManager: () => EntityManager) {
  const ovens = new Map<string, RunningOven>();
  const ovenOf = (id: string, now: Date): RunningOven => {
    const oven = ovens.get(id) ?? { state: COLD_OVEN, at: now.getTime() };
    ovens.set(id, oven);
    const seconds = Math.floor((now.getTime() - oven.at) / 1000);
    if (seconds > 0) {
      // Beyond a few hours it is as warm as it will be.
      oven.state = runOven(oven.state, Math.min(seconds, 6 * 3600));
      oven.at += seconds * 1000;
    }
    return oven;
  };
  const scales = new Map<string, RunningScales>();
  const scalesOf = (id: string, now: Date): RunningScales => {
    const own = scales.get(id) ?? {
      state: EMPTY_SCALES,
      at: now.getTime(),
      random: createSeededRandom(scales.size + 1),
    };
    scales.set(id, own);
    const seconds = Math.min(60, (now.getTime() - own.at) / 1000);
    if (seconds > 0) {
      own.state = pourOn(own.state, seconds, own.random);
      own.at = now.getTime();
    }
    return own;
  };
  const readNow: ReadNow = async (instrument, now) => {
    if (instrument.source === 'endpoint') return askEndpoint(instrument, now);
    if (instrument.kind === 'scales') {
      const { state, random } = scalesOf(instrument.id, now);
      return { at: now.toISOString(), grams: showGrams(state, random) };
    }
    if (instrument.kind === 'room thermometer') {
      const { tempC, humidity } = readRoom(now, createSeededRandom(Math.floor(now.getTime() / 1000)));
      return { at: now.toISOString(), celsius: tempC, humidity };
    }
    const celsius =
      instrument.kind === 'oven probe' ? ovenOf(instrument.id, now).state.metalC : await computeBath(getManager(), now);
    return { at: now.toISOString(), celsius };
  };
  const turnDial = (id: string, setC: number | null, now: Date) => {
    const oven = ovenOf(id, now);
    oven.state = { ...oven.state, setC };
    return oven.state;
  };
  const tare = (id: string, now: Date) => void (scalesOf(id, now).state = EMPTY_SCALES);
  const pour = (id: string, grams: number, now: Date) => {
    const own = scalesOf(id, now);
    own.state = beginPour(own.state, grams);
  };
  return { readNow, turnDial, tare, pour, ovenState: (id: string, now: Date) => ovenOf(id, now).state };
}

/** The latest caustic bath that stands; the room where there is none. */
async function computeBath(manager: EntityManager, now: Date): Promise<number> {
  const bath = await manager.findOne(BathRow, {
    where: { kind: 'caustic', endedAt: IsNull() },
    order: { madeAt: 'DESC' },
  });
  return bath ? computeBathC(bath, (now.getTime() - Date.parse(bath.madeAt)) / 60_000) : ROOM_C;
}

/** GET on a loopback address: {"celsius": 121.5} or {"grams": 1.24}. See docs/formats/instrument.md. */
async function askEndpoint({ url, kind }: InstrumentRow, now: Date): Promise<Reading> {
  const answer = (await fetchReading(url)) as { celsius?: unknown; grams?: unknown; humidity?: unknown };
  const { celsius, grams, humidity } = answer;
  const at = now.toISOString();
  if (kind === 'scales') {
    if (typeof grams !== 'number' || !Number.isFinite(grams)) throw new Error('it sent no number called grams');
    return { at, grams };
  }
  if (typeof celsius !== 'number' || !Number.isFinite(celsius)) throw new Error('it sent no number called celsius');
  if (kind !== 'room thermometer') return { at, celsius };
  const isPercent = typeof humidity === 'number' && humidity >= 0 && humidity <= 100;
  return { at, celsius, humidity: isPercent ? humidity : null };
}
