import { expect } from 'chai';
import { formatAge, formatDue } from './sayDates.ts';
import { readWallTime, writeWallTime } from './wallTime.ts';

describe('days and moments in words', () => {
  it('says the age of a pot in words', () => {
    const now = new Date('2026-11-26T12:00:00Z');
    const cases = [
      [null, 'never opened'],
      ['2026-11-26', 'opened today'],
      ['2026-11-25', 'opened 1 day ago'],
      ['2026-08-20', 'opened 3 months ago'],
      ['2023-01-01', 'opened 3 years ago'],
    ] as const;
    for (const [day, words] of cases) expect(formatAge(day, now)).equal(words);
  });

  it('counts days to the due day as the calendar does', () => {
    const now = new Date(2026, 10, 25, 23, 30);
    expect(
      ['2026-11-25', '2026-11-26', '2027-01-13', '2026-11-24', '2026-11-20'].map((day) => formatDue(day, now)),
    ).deep.equal(['today', 'tomorrow', 'in 49 days', '1 day late', '5 days late']);
  });

  it('counts days, not hours, where summer time begins and ends', () => {
    expect(formatDue('2026-03-30', new Date(2026, 2, 28, 23, 59))).equal('in 2 days');
    expect(formatDue('2026-10-26', new Date(2026, 9, 24, 0, 1))).equal('in 2 days');
  });

  it('reads the wall clock back as it was written; what is no time stays', () => {
    for (const moment of [new Date(2026, 0, 1, 0, 0), new Date(2026, 6, 31, 23, 59)])
      expect(readWallTime(writeWallTime(moment))).equal(moment.toISOString());
    for (const text of ['', 'noon', '2026-02-31T10:00', '2026-02-01T25:00', '2026-02-01T'])
      expect(readWallTime(text)).equal(text);
  });
});
