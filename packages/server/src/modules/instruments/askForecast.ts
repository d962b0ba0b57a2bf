import type { ForecastView } from '@sardonyx/contract';
import { readForecast, type ForecastDay } from '@sardonyx/core';
import type { InstrumentRow } from '../../entities/workshop.ts';
import { refused } from '../../http/errors.ts';
import { fetchReading } from './fetchReading.ts';

const DAYS = 7;

/** The next days as a forecast has them: a simulated sky, or what a local address answers. Refused, with the reason, where it gives none. */
export async function askForecast(
  { name, source, url }: InstrumentRow,
  now: Date,
  zone: string,
): Promise<ForecastView> {
  // Written year, month, day.
  const today = new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short' }).format(now);
  if (source === 'simulated') return { days: readForecast(today, DAYS), isSimulated: true };
  try {
    const { days } = (await fetchReading(url)) as { days?: unknown };
    if (!Array.isArray(days) || !days.every(isForecastDay)) throw new Error('it sent no list called days');
    const ahead = days.filter(({ on }) => on >= today).sort((a, b) => a.on.localeCompare(b.on));
    return { days: ahead.slice(0, DAYS).map(({ on, rainPercent }) => ({ on, rainPercent })), isSimulated: false };
  } catch (fault) {
    throw refused('no-reading', `${name} gives no forecast: ${(fault as Error).message}.`);
  }
}

function isForecastDay(day: unknown): day is ForecastDay {
  const { on, rainPercent } = (day ?? {}) as { on?: unknown; rainPercent?: unknown };
  return (
    typeof on === 'string' &&
    /^\d{4}-\d{2}-\d{2}$/.test(on) &&
    typeof rainPercent === 'number' &&
    rainPercent >= 0 &&
    rainPercent <= 100
  );
}
