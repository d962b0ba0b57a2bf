import { change, look, type Workroom } from '../../workroom.ts';
import { createInstruments } from '../instruments/readInstrument.ts';
import { findLastReading, logRoom, readThermometer } from './roomLog.ts';

const LOOK_EVERY_MS = 5 * 60_000;
/** Read once an hour, "dry at" is right within two percent; with the first reading alone within an eighth. */
const READ_EVERY_MS = 3_600_000;

/** Reads the thermometer of the room through the night, where there is one. */
export function keepRoomLog(room: Workroom): void {
  const { readNow } = createInstruments(() => room.source.manager);
  const read = async () => {
    const now = room.now();
    const last = await look(room, findLastReading);
    if (last && now.getTime() - Date.parse(last.at) < READ_EVERY_MS) return;
    const reading = await look(room, (manager) => readThermometer(manager, readNow, now));
    if (reading) await change(room, (manager) => logRoom(manager, reading));
  };
  // A thermometer that is switched off, or a full disk, is told where somebody asks for it; the next hour tries again.
  setInterval(() => void read().catch(() => undefined), LOOK_EVERY_MS).unref();
}
