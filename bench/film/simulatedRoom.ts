import type { DryingLaw, RoomReading } from '../../packages/core/src/film/dryingClock.ts';
import type { RandomSource } from '../../packages/core/src/numeric/seededRandom.ts';

const MINUTE = 60_000;
export const HOUR = 60 * MINUTE;
export const DAY = 24 * HOUR;

export const LAW: DryingLaw = { refC: 20, minC: 10, isWaterBorne: false };

/** A heated workroom: a swing through the day, weather over it, a window that is opened. */
export function createRoom(random: RandomSource): (at: number) => number {
  const middle = 16.5 + 3 * random();
  const [swing, weather] = [0.5 + 1.7 * random(), 0.8 * random()];
  const [phase, slow] = [2 * Math.PI * random(), 2 * Math.PI * random()];
  return (at) => {
    const tempC =
      middle +
      swing * Math.sin((2 * Math.PI * at) / DAY + phase) +
      weather * Math.sin((2 * Math.PI * at) / (0.31 * DAY) + slow);
    return Math.min(22, Math.max(14, tempC));
  };
}

/** When so many minutes at 20 degrees have gone by, in steps of half a minute. */
export function truthOf(room: (at: number) => number, from: number, sheetMin: number): number {
  const step = MINUTE / 2;
  let [at, dose] = [from, 0];
  while (dose < sheetMin) {
    dose += 0.5 * 2 ** ((room(at + step / 2) - 20) / 10);
    at += step;
  }
  return at;
}

export const readRoom = (room: (at: number) => number, until: number): RoomReading[] =>
  Array.from({ length: Math.ceil(until / HOUR) + 1 }, (_, i) => ({
    at: i * HOUR,
    tempC: room(i * HOUR),
    humidity: null,
  }));
