import { InvalidInputError } from '../model/errors.ts';
import { findFirst } from '../numeric/findFirst.ts';

/** What the room was like at a moment, ms since 1970: degrees Celsius, and percent of relative humidity where it was read. */
export interface RoomReading {
  readonly at: number;
  readonly tempC: number;
  readonly humidity: number | null;
}

/** How a paint dries: its sheet's times hold at refC; below minC it must not be used. */
export interface DryingLaw {
  readonly refC: number;
  readonly minC: number;
  readonly isWaterBorne: boolean;
}

/**
 * What can be said for certain: 'least' counts what has dried at the least (when something may begin), 'most' what may have
 * dried already (when a window shuts).
 */
export type DryingSide = 'least' | 'most';

/** Counts drying in minutes of the sheet, whatever the room does. */
export interface DryingClock {
  /** Minutes of the sheet that went by between two moments; negative backwards. */
  dried(from: number, to: number): number;
  /** The moment at which so many minutes of the sheet have gone by; null when the room is too cold for it to come. */
  until(from: number, sheetMin: number): number | null;
}

/** Ten degrees warmer, twice as fast; nothing is said outside of these (planning estimates, until touches say better). */
const DOUBLES_EVERY_C = 10;
const COLDEST_C = 10;
const WARMEST_C = 30;
const GROWTH = Math.LN2 / DOUBLES_EVERY_C;
/** What is water-borne dries as the air takes water up: as the sheet says at this humidity, not at all at 100. */
const SHEET_HUMIDITY = 50;
const MINUTE = 60_000;
/** Doses that differ by less are one. */
const ROUNDING_MIN = 1e-9;

/** From a moment on drying goes at rate * exp(growth * minutes since then); before is what dried since the first reading. */
interface Stretch {
  readonly from: number;
  readonly rate: number;
  readonly growth: number;
  readonly before: number;
}

/**
 * Drying is a dose: the integral of 2^((T - refC) / 10) over the room's log (Arrhenius with the usual rule of ten degrees). The
 * temperature goes evenly from one reading to the next, and stays before the first and after the last. Throws InvalidInputError
 * for a log without a reading.
 */
export function createDryingClock(readings: readonly RoomReading[], law: DryingLaw, side: DryingSide): DryingClock {
  if (readings.length === 0)
    throw new InvalidInputError('no-reading', 'Without a temperature nothing can be said of drying.', 'readings');
  const log = [...readings].sort((a, b) => a.at - b.at);
  const rateOf = ({ tempC, humidity }: RoomReading) => computeRate(tempC, humidity, law, side);
  const first = log[0]!;
  const stretches = joinReadings(log, law, side);
  const dose = (at: number): number => {
    const stretch = stretches[findFirst(stretches.length, (i) => stretches[i]!.from > at) - 1];
    return stretch
      ? stretch.before + grow(stretch, (at - stretch.from) / MINUTE)
      : rateOf(first) * minutesFrom(first, at);
  };
  const reach = (wanted: number): number | null => {
    // A cold stretch ends where it began: what is wanted comes after it.
    const stretch = stretches[findFirst(stretches.length, (i) => !(stretches[i]!.before < wanted - ROUNDING_MIN)) - 1];
    const { from, rate, growth, before } = stretch ?? { ...stretches[0]!, rate: rateOf(first), growth: 0 };
    if (rate === 0) return null;
    const left = wanted - before;
    return from + MINUTE * (growth === 0 ? left / rate : Math.log1p((left * growth) / rate) / growth);
  };
  return {
    dried: (from, to) => dose(to) - dose(from),
    until: (from, sheetMin) => (sheetMin <= 0 ? from : reach(dose(from) + sheetMin)),
  };
}

const minutesFrom = (reading: RoomReading, at: number) => (at - reading.at) / MINUTE;

const grow = ({ rate, growth }: Pick<Stretch, 'rate' | 'growth'>, minutes: number): number =>
  growth === 0 ? rate * minutes : (rate * Math.expm1(growth * minutes)) / growth;

/** The stretches between readings, and the last reading's own, which has no end. */
function joinReadings(log: readonly RoomReading[], law: DryingLaw, side: DryingSide): Stretch[] {
  const stretches: Stretch[] = [];
  let before = 0;
  for (let i = 1; i < log.length; i++)
    for (const [from, to] of cutAtLimits(log[i - 1]!, log[i]!, law)) {
      const minutes = (to.at - from.at) / MINUTE;
      if (minutes <= 0) continue;
      const middleC = (from.tempC + to.tempC) / 2;
      const rate = computeRate(middleC, meanHumidity(log[i - 1]!, log[i]!), law, side);
      const follows = middleC > coldest(law) && (middleC < WARMEST_C || side === 'most');
      const growth = follows ? (GROWTH * (to.tempC - from.tempC)) / minutes : 0;
      const stretch = { from: from.at, rate: rate * Math.exp((-growth * minutes) / 2), growth, before };
      stretches.push(stretch);
      before += grow(stretch, minutes);
    }
  const last = log.at(-1)!;
  stretches.push({ from: last.at, rate: computeRate(last.tempC, last.humidity, law, side), growth: 0, before });
  return stretches;
}

const coldest = ({ minC }: DryingLaw): number => Math.max(COLDEST_C, minC);

/** Minutes of the sheet in a minute. */
function computeRate(tempC: number, humidity: number | null, law: DryingLaw, side: DryingSide): number {
  if (side === 'least' && tempC < coldest(law)) return 0;
  const counted = Math.max(coldest(law), side === 'least' ? Math.min(WARMEST_C, tempC) : tempC);
  const rate = Math.exp(GROWTH * (counted - law.refC));
  if (!law.isWaterBorne || humidity === null) return rate;
  const thirst = Math.max(0, 100 - humidity) / (100 - SHEET_HUMIDITY);
  return rate * (side === 'least' ? Math.min(1, thirst) : Math.max(1, thirst));
}

/** The way from one reading to the next, cut where the temperature crosses a limit: on either side the rate is another. */
function cutAtLimits(a: RoomReading, b: RoomReading, law: DryingLaw): readonly (readonly [RoomReading, RoomReading])[] {
  const [lower, upper] = [Math.min(a.tempC, b.tempC), Math.max(a.tempC, b.tempC)];
  // Nearly always: a log of a month has hundreds of ways.
  if (lower >= coldest(law) && upper <= WARMEST_C) return [[a, b]];
  const crossings = [coldest(law), WARMEST_C]
    .filter((limitC) => lower < limitC && limitC < upper)
    .map((limitC) => (limitC - a.tempC) / (b.tempC - a.tempC))
    .sort((x, y) => x - y)
    .map((share) => ({ ...a, at: a.at + share * (b.at - a.at), tempC: a.tempC + share * (b.tempC - a.tempC) }));
  const points = [a, ...crossings, b];
  return points.slice(1).map((point, i) => [points[i]!, point] as const);
}

const meanHumidity = (a: RoomReading, b: RoomReading): number | null =>
  a.humidity === null || b.humidity === null ? (a.humidity ?? b.humidity) : (a.humidity + b.humidity) / 2;
