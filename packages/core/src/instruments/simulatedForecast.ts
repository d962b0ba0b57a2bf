import { createSeededRandom } from '../numeric/seededRandom.ts';

/** What a forecast says of a local day. */
export interface ForecastDay {
  /** 2026-11-26. */
  readonly on: string;
  /** How likely it rains, percent. */
  readonly rainPercent: number;
}

const DAY_MS = 86_400_000;
/** A made-up sky: wet days come in spells. */
const RAIN_AFTER = { dry: 0.3, wet: 0.6 };
/** A forecast is sure of tomorrow, and knows no more than the season far ahead: what is left of its skill after a day. */
const SKILL_LEFT = 0.85;
const USUAL_PERCENT = 43;

/** A simulated forecast for so many days from a local day on: the same sky whenever it is asked, further days less surely. */
export function readForecast(from: string, days: number): ForecastDay[] {
  const first = Math.floor(Date.parse(`${from}T00:00:00Z`) / DAY_MS);
  return Array.from({ length: days }, (_, i) => {
    const certain = isWetDay(first + i) ? 92 : 8;
    const skill = SKILL_LEFT ** i;
    return {
      on: new Date((first + i) * DAY_MS).toISOString().slice(0, 10),
      rainPercent: Math.round(skill * certain + (1 - skill) * USUAL_PERCENT),
    };
  });
}

/** Days that a spell is followed back: what lies before hardly matters. */
const MEMORY_DAYS = 30;

function isWetDay(day: number): boolean {
  let isWet = false;
  for (let i = day - MEMORY_DAYS; i <= day; i++) {
    const random = createSeededRandom(i);
    isWet = random() < (isWet ? RAIN_AFTER.wet : RAIN_AFTER.dry);
  }
  return isWet;
}

/** Planned as dry below this chance of rain, percent (planning estimate, on the careful side: grit and wet air clog). */
export const DRY_BELOW_PERCENT = 30;
