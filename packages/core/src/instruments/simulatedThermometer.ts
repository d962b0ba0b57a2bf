import { drawNormal } from '../numeric/drawNormal.ts';
import type { RandomSource } from '../numeric/seededRandom.ts';

/** What a small thermometer with a humidity sensor shows. */
export interface RoomState {
  readonly tempC: number;
  /** Percent. */
  readonly humidity: number;
}

const DAY_MS = 86_400_000;
/** A workroom under a roof (invented): coldest at five in the morning, the heating on in the evening. */
const MEAN_C = 17.5;
const SWING_C = 2.5;
const COLDEST_HOUR = 5;
/** Grams of water in a cubic metre of its air stay; what it could hold goes with the temperature. */
const WATER_G_PER_M3 = 7.6;

/** A simulated room through its day, read with the spread of such an instrument: a fifth of a degree, two percent. */
export function readRoom(at: Date, random: RandomSource): RoomState {
  const day = at.getTime() / DAY_MS;
  const phase = 2 * Math.PI * (day - COLDEST_HOUR / 24);
  const trueC = MEAN_C - SWING_C * Math.cos(phase);
  const tempC = Math.round(10 * (trueC + 0.2 * drawNormal(random))) / 10;
  const humidity = Math.round((100 * WATER_G_PER_M3) / computeSaturation(trueC) + 2 * drawNormal(random));
  return { tempC, humidity: Math.min(100, Math.max(0, humidity)) };
}

/** Water that air can hold, g/m3 (D. Sonntag 1990 over water, -45 to 60 °C, and the gas law). */
function computeSaturation(tempC: number): number {
  const pressurePa = 611.2 * Math.exp((17.62 * tempC) / (243.12 + tempC));
  return (1000 * pressurePa) / (461.5 * (tempC + 273.15));
}
