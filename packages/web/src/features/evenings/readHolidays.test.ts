import { expect } from 'chai';
import { readHolidays } from './readHolidays.ts';

const calendar = (...events: readonly string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//test//EN', ...events, 'END:VCALENDAR', ''].join('\r\n');
const event = (...lines: readonly string[]) => ['BEGIN:VEVENT', 'UID:a', ...lines, 'END:VEVENT'].join('\r\n');
const read = (text: string) => readHolidays(text, '2026-11-25', '2027-11-25');

describe('readHolidays', () => {
  it('reads a whole day, and every day of a longer one', () => {
    const one = event('DTSTART;VALUE=DATE:20261225', 'SUMMARY:Christmas Day');
    const more = event('DTSTART;VALUE=DATE:20261230', 'DTEND;VALUE=DATE:20270102', 'SUMMARY:Away');
    expect(read(calendar(one, more)).days).deep.equal([
      { on: '2026-12-25', name: 'Christmas Day' },
      { on: '2026-12-30', name: 'Away' },
      { on: '2026-12-31', name: 'Away' },
      { on: '2027-01-01', name: 'Away' },
    ]);
  });

  it('counts out what comes again, but for what is taken out of it', () => {
    const yearly = event('DTSTART;VALUE=DATE:20001226', 'RRULE:FREQ=YEARLY', 'SUMMARY:Boxing Day');
    expect(read(calendar(yearly)).days).deep.equal([{ on: '2026-12-26', name: 'Boxing Day' }]);
    const weekly = event(
      ...['DTSTART;VALUE=DATE:20261201', 'RRULE:FREQ=WEEKLY;COUNT=3', 'EXDATE;VALUE=DATE:20261208', 'SUMMARY:Choir'],
    );
    expect(read(calendar(weekly)).days.map(({ on }) => on)).deep.equal(['2026-12-01', '2026-12-15']);
  });

  it('leaves what has hours, what lies outside, and a day that is there twice', () => {
    const hours = event('DTSTART:20261201T180000Z', 'DTEND:20261201T190000Z', 'SUMMARY:Dentist');
    const past = event('DTSTART;VALUE=DATE:20261124', 'SUMMARY:Past');
    const far = event('DTSTART;VALUE=DATE:20271126', 'SUMMARY:Far');
    const day = (name: string) => event('DTSTART;VALUE=DATE:20261225', `SUMMARY:${name}`);
    expect(read(calendar(hours, past, far, day('One'), day('Two')))).deep.equal({
      days: [{ on: '2026-12-25', name: 'One' }],
      withHours: 1,
    });
  });

  it('says so where it is no calendar, and reads an empty one', () => {
    for (const text of ['', 'hello', '{"a":1}', 'BEGIN:VCARD\r\nEND:VCARD'])
      expect(() => read(text), text).throw('This is no calendar file (ICS)');
    expect(read(calendar()).days).deep.equal([]);
    expect(read(calendar(event('SUMMARY:Without a day'))).days).deep.equal([]);
  });
});
