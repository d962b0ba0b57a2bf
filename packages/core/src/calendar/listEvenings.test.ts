import { expect } from 'chai';
import { findDayStart, listEvenings } from './listEvenings.ts';

const ZONE = 'Europe/London';
const say = (some: readonly { from: number; to: number }[]) =>
  some.map(({ from, to }) => `${new Date(from).toISOString().slice(0, 16)} ${(to - from) / 60_000}`);
const weekly = { sessions: [{ weekday: 3, startHour: 18.5, minutes: 120 }], exceptions: [] };

describe('evenings of a calendar', () => {
  it('keeps the hour on the wall where summer time ends and begins', () => {
    const now = Date.parse('2026-10-20T12:00:00Z');
    expect(say(listEvenings(weekly, now, 10, ZONE))).deep.equal(['2026-10-21T17:30 120', '2026-10-28T18:30 120']);
    expect(say(listEvenings(weekly, Date.parse('2027-03-24T00:00:00Z'), 9, ZONE))).deep.equal([
      '2027-03-24T18:30 120',
      '2027-03-31T17:30 120',
    ]);
  });

  it('has one that began before midnight and is still under way', () => {
    const late = { sessions: [{ weekday: 3, startHour: 23, minutes: 180 }], exceptions: [] };
    expect(say(listEvenings(late, Date.parse('2026-11-26T00:30:00Z'), 3, ZONE))).deep.equal(['2026-11-25T23:00 180']);
    expect(listEvenings(late, Date.parse('2026-11-26T02:00:00Z'), 3, ZONE)).deep.equal([]);
  });

  it('takes what is said of a day for its week day: nobody, another hour, one more, two that touch', () => {
    const now = Date.parse('2026-11-25T12:00:00Z');
    const said = (exceptions: { on: string; startHour: number; minutes: number }[]) =>
      say(listEvenings({ ...weekly, exceptions: exceptions.map((one) => ({ ...one, note: '' })) }, now, 8, ZONE));
    expect(said([{ on: '2026-11-25', startHour: 0, minutes: 0 }])).deep.equal(['2026-12-02T18:30 120']);
    expect(said([{ on: '2026-11-25', startHour: 20, minutes: 45 }])[0]).equal('2026-11-25T20:00 45');
    expect(said([{ on: '2026-11-27', startHour: 19, minutes: 60 }])).deep.equal([
      '2026-11-25T18:30 120',
      '2026-11-27T19:00 60',
      '2026-12-02T18:30 120',
    ]);
    const touching = [
      { on: '2026-11-26', startHour: 20, minutes: 60 },
      { on: '2026-11-26', startHour: 19, minutes: 60 },
    ];
    expect(said(touching)[1]).equal('2026-11-26T19:00 120');
  });

  it('knows where a local day begins', () => {
    expect(new Date(findDayStart('2026-07-01', ZONE)).toISOString()).equal('2026-06-30T23:00:00.000Z');
    expect(new Date(findDayStart('2026-12-31', ZONE, 1)).toISOString()).equal('2027-01-01T00:00:00.000Z');
  });
});
