import ICAL from 'ical.js';

export interface Holiday {
  /** Local day, 2026-12-25. */
  readonly on: string;
  readonly name: string;
}

export interface HolidaysRead {
  /** Soonest first, a day once. */
  readonly days: readonly Holiday[];
  /** Entries with hours: whether somebody has no time then they say themselves. */
  readonly withHours: number;
}

/** An entry that comes again for ever is followed for so many times. */
const MOST_TIMES = 2000;
const DAY_MS = 86_400_000;

/**
 * Whole days of a calendar file (iCalendar, RFC 5545) between two local days, both included; days that come again every year are counted out.
 *
 * @throws Error with what is wrong, where it is no calendar
 */
export function readHolidays(text: string, from: string, until: string): HolidaysRead {
  const events = readEvents(text);
  const names = new Map<string, string>();
  let withHours = 0;
  for (const event of events) {
    if (!event.startDate.isDate) {
      withHours++;
      continue;
    }
    const lasts = Math.max(1, Math.round(event.duration.toSeconds() / 86_400));
    for (const first of listStarts(event, until))
      for (let i = 0; i < lasts; i++) {
        const on = addDays(first, i);
        if (from <= on && on <= until && !names.has(on)) names.set(on, event.summary ?? '');
      }
  }
  const days = [...names].map(([on, name]) => ({ on, name })).sort((a, b) => a.on.localeCompare(b.on));
  return { days, withHours };
}

function readEvents(text: string): ICAL.Event[] {
  try {
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
    if (calendar.name !== 'vcalendar') throw new Error();
    return calendar
      .getAllSubcomponents('vevent')
      .filter((component) => component.hasProperty('dtstart'))
      .map((component) => new ICAL.Event(component));
  } catch {
    throw new Error('This is no calendar file (ICS): save the calendar as one and choose it again.');
  }
}

function listStarts(event: ICAL.Event, until: string): string[] {
  if (!event.isRecurring()) return [event.startDate.toString()];
  const starts: string[] = [];
  const times = event.iterator();
  for (let i = 0; i < MOST_TIMES; i++) {
    // The types forget that the last one is followed by nothing.
    const next = times.next() as ICAL.Time | null | undefined;
    const on = next?.toString();
    if (on === undefined || on > until) break;
    starts.push(on);
  }
  return starts;
}

const addDays = (on: string, days: number): string =>
  new Date(Date.parse(`${on}T12:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);
