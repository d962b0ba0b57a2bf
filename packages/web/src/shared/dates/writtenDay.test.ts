import { expect } from 'chai';
import { findDayPattern, readDay, writeDay } from './writtenDay.ts';

describe('a day as the reader writes it', () => {
  const british = findDayPattern('en-GB');
  const american = findDayPattern('en-US');
  const swedish = findDayPattern('sv-SE');

  it('is written in the order and with the signs of the place', () => {
    expect(writeDay('2026-12-05', british)).equal('05/12/2026');
    expect(writeDay('2026-12-05', american)).equal('12/05/2026');
    expect(writeDay('2026-12-05', findDayPattern('de-DE'))).equal('05.12.2026');
    expect(writeDay('2026-12-05', swedish)).equal('2026-12-05');
    expect(british.hint).equal('day/month/year');
  });

  it('is read back as it was written, in every place', () => {
    for (const locale of ['en-GB', 'en-US', 'de-DE', 'sv-SE', 'hu-HU', 'ja-JP', 'ko-KR', 'nl-NL', 'pt-BR']) {
      const pattern = findDayPattern(locale);
      for (const day of ['2026-02-28', '2024-02-29', '1999-12-31', '2026-10-01'])
        expect(readDay(writeDay(day, pattern), pattern), `${locale} ${day}`).equal(day);
    }
  });

  it('is read with any sign, without noughts and with a short year', () => {
    expect(readDay('5.12.26', british)).equal('2026-12-05');
    expect(readDay(' 5 - 12 - 2026 ', british)).equal('2026-12-05');
    expect(readDay('12/5/26', american)).equal('2026-12-05');
    expect(readDay('2026-12-05', british)).equal('2026-12-05');
  });

  it('is no day when there is none such', () => {
    for (const text of ['', 'soon', '31/02/2026', '13/13/2026', '5/12', '5/12/2026/1', '5/12/026'])
      expect(readDay(text, british), text).equal(null);
    expect(writeDay('soon', british)).equal('soon');
    expect(writeDay('', british)).equal('');
  });
});
