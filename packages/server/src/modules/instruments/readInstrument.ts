import { COLD_OVEN, computeBathC, runOven, type OvenState, type Reading } from '@sardonyx/core';
import { IsNull, type EntityManager } from 'typeorm';
import { BathRow, type InstrumentRow } from '../../entities/workshop.ts';

/** The one interface of every instrument: what it reads now. Throws when it gives no answer. */
export type ReadNow = (instrument: InstrumentRow, now: Date) => Promise<Reading>;

const ROOM_C = 20;
/** An endpoint on this bench answers at once or not at all. */
const PATIENCE_MS = 2000;

interface RunningOven {
  state: OvenState;
  at: number;
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
  const readNow: ReadNow = async (instrument, now) => {
    if (instrument.source === 'endpoint') return askEndpoint(instrument.url, now);
    const celsius =
      instrument.kind === 'oven probe' ? ovenOf(instrument.id, now).state.metalC : await computeBath(getManager(), now);
    return { at: now.toISOString(), celsius };
  };
  const turnDial = (id: string, setC: number | null, now: Date) => {
    const oven = ovenOf(id, now);
    oven.state = { ...oven.state, setC };
    return oven.state;
  };
  return { readNow, turnDial, ovenState: (id: string, now: Date) => ovenOf(id, now).state };
}

/** The latest caustic bath that stands; the room where there is none. */
async function computeBath(manager: EntityManager, now: Date): Promise<number> {
  const bath = await manager.findOne(BathRow, {
    where: { kind: 'caustic', endedAt: IsNull() },
    order: { madeAt: 'DESC' },
  });
  return bath ? computeBathC(bath, (now.getTime() - Date.parse(bath.madeAt)) / 60_000) : ROOM_C;
}

/** GET on a loopback address: {"celsius": 121.5}. See docs/formats/instrument.md. */
async function askEndpoint(url: string, now: Date): Promise<Reading> {
  const answer = await fetch(url, { signal: AbortSignal.timeout(PATIENCE_MS), redirect: 'error' });
  if (!answer.ok) throw new Error(`it answered ${answer.status}`);
  const { celsius } = (await answer.json()) as { celsius?: unknown };
  if (typeof celsius !== 'number' || !Number.isFinite(celsius)) throw new Error('it sent no number called celsius');
  return { at: now.toISOString(), celsius };
}
