import { InvalidInputError } from '../model/errors.ts';

/** A moment as the clock on the wall of the bench shows it. */
export interface LocalTime {
  /** 0 (Sunday) to 6. */
  readonly weekday: number;
  /** Minutes since local midnight, with fractions. */
  readonly minuteOfDay: number;
  readonly year: number;
  readonly month: number;
  readonly day: number;
}

const formats = new Map<string, Intl.DateTimeFormat>();

/**
 * The wall clock of a time zone (IANA name), summer time included.
 *
 * Throws InvalidInputError for a zone that nobody knows.
 */
export function convertToLocalTime(moment: Date, zone: string): LocalTime {
  const parts = Object.fromEntries(
    getFormat(zone)
      .formatToParts(moment)
      .map(({ type, value }) => [type, Number(value)]),
  ) as Readonly<Record<'year' | 'month' | 'day' | 'hour' | 'minute' | 'second', number>>;
  const { year, month, day, hour, minute, second } = parts;
  return {
    ...{ year, month, day },
    weekday: new Date(Date.UTC(year, month - 1, day)).getUTCDay(),
    minuteOfDay: hour * 60 + minute + second / 60,
  };
}

/**
 * The moment at which the wall clock of a zone shows this day and minute. Where summer time skips that minute, the moment
 * just as far behind midnight; where it comes twice, the first one.
 */
export function convertFromLocalTime(
  { year, month, day, minuteOfDay }: Omit<LocalTime, 'weekday'>,
  zone: string,
): Date {
  const asIfUtc = Date.UTC(year, month - 1, day) + minuteOfDay * 60_000;
  // The offset at the guess may not be the one that holds; twice is enough for every zone.
  let guess = asIfUtc;
  for (let i = 0; i < 2; i++) guess = asIfUtc - offsetAt(new Date(guess), zone);
  const earlier = guess - 3_600_000;
  return new Date(asIfUtc - offsetAt(new Date(earlier), zone) === earlier ? earlier : guess);
}

function offsetAt(moment: Date, zone: string): number {
  const { year, month, day, minuteOfDay } = convertToLocalTime(moment, zone);
  return (
    Date.UTC(year, month - 1, day) + Math.round(minuteOfDay * 60) * 1000 - Math.floor(moment.getTime() / 1000) * 1000
  );
}

/** Whether the IANA database knows such a zone. */
export function isTimeZone(zone: string): boolean {
  try {
    getFormat(zone);
    return true;
  } catch {
    return false;
  }
}

function getFormat(zone: string): Intl.DateTimeFormat {
  const known = formats.get(zone);
  if (known) return known;
  try {
    const format = new Intl.DateTimeFormat('en-GB', {
      timeZone: zone,
      hourCycle: 'h23',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    });
    formats.set(zone, format);
    return format;
  } catch {
    throw new InvalidInputError('time-zone', `"${zone}" is no time zone.`, 'zone', { given: zone });
  }
}
