import { comesOn } from '../../calendar/comesOn.ts';
import { convertToLocalTime } from '../../calendar/localTime.ts';
import type { SessionException } from '../../model/evenings.ts';
import type { EveningRestorer, EveningsInput } from './eveningsInput.ts';

/** What somebody wonders about. */
export type Supposition =
  | { readonly kind: 'more evenings'; readonly restorerId: string; readonly count: number }
  /** From today on. */
  | { readonly kind: 'away'; readonly restorerId: string; readonly days: number }
  /** Rain from today on. */
  | { readonly kind: 'rain'; readonly days: number }
  | { readonly kind: 'no oven' };

const DAY_MS = 86_400_000;

/** The same evenings as they would be then. Nothing of it is kept. */
export function supposeEvenings(input: EveningsInput, supposed: Supposition): EveningsInput {
  switch (supposed.kind) {
    case 'no oven':
      return { ...input, ovenRoom: 0 };
    case 'rain': {
      const wet = listDays(input, supposed.days).map((on) => ({ on, isDry: false }));
      return { ...input, weather: [...input.weather.filter(({ on }) => !wet.some((day) => day.on === on)), ...wet] };
    }
    case 'more evenings':
    case 'away': {
      const exceptions = listSupposed(input, supposed);
      const days = new Set(exceptions.map(({ on }) => on));
      return {
        ...input,
        restorers: input.restorers.map((one) =>
          one.id === supposed.restorerId
            ? { ...one, exceptions: [...one.exceptions.filter(({ on }) => !days.has(on)), ...exceptions] }
            : one,
        ),
      };
    }
  }
}

/** The days that a supposition says something of, as they would be written down; none where it is not about somebody's days. */
export function listSupposed(input: EveningsInput, supposed: Supposition): SessionException[] {
  if (supposed.kind !== 'more evenings' && supposed.kind !== 'away') return [];
  const restorer = input.restorers.find(({ id }) => id === supposed.restorerId);
  if (!restorer) return [];
  if (supposed.kind === 'away')
    return listDays(input, supposed.days)
      .filter((on) => comesOn(restorer, on))
      .map((on) => ({ on, startHour: 0, minutes: 0, note: '' }));
  const usual = chooseUsual(restorer);
  if (!usual) return [];
  // From tomorrow on: today has begun.
  return listDays(input, supposed.count + MOST_BUSY_DAYS)
    .slice(1)
    .filter((on) => !comesOn(restorer, on) && !restorer.exceptions.some((one) => one.on === on))
    .slice(0, supposed.count)
    .map((on) => ({ on, ...usual, note: '' }));
}

/** So many days on end may have sessions already before a free one is looked for in vain. */
const MOST_BUSY_DAYS = 400;

function listDays({ now, zone }: EveningsInput, count: number): string[] {
  const { year, month, day } = convertToLocalTime(new Date(now), zone);
  const noon = Date.UTC(year, month - 1, day, 12);
  return Array.from({ length: count }, (_, i) => new Date(noon + i * DAY_MS).toISOString().slice(0, 10));
}

/** The hours of most of their days; of two the shorter ones. */
function chooseUsual({ sessions }: EveningRestorer): Pick<SessionException, 'startHour' | 'minutes'> | null {
  const nameOf = ({ startHour, minutes }: (typeof sessions)[number]) => `${startHour} ${minutes}`;
  const count = (one: (typeof sessions)[number]) => sessions.filter((other) => nameOf(other) === nameOf(one)).length;
  const [usual] = [...sessions].sort(
    (a, b) => count(b) - count(a) || a.minutes - b.minutes || a.startHour - b.startHour,
  );
  return usual ? { startHour: usual.startHour, minutes: usual.minutes } : null;
}
