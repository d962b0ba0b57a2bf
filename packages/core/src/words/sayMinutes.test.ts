import { expect } from 'chai';
import { sayMinutes } from './sayMinutes.ts';

describe('a time that is left', () => {
  it('is said in the units of a clock, upwards: who comes then is never too early', () => {
    const said = [0, 0.2, 40, 59.5, 60, 61, 180, 190, 1439, 1439.5, 1440, 1470, 2970, 2880, 4320 + 60].map(
      (minutes) => `${minutes}: ${sayMinutes(minutes)}`,
    );
    expect(said).deep.equal([
      '0: 1 min',
      '0.2: 1 min',
      '40: 40 min',
      '59.5: 1 h',
      '60: 1 h',
      '61: 1 h 1 min',
      '180: 3 h',
      '190: 3 h 10 min',
      '1439: 23 h 59 min',
      '1439.5: 1 day',
      '1440: 1 day',
      '1470: 1 day 1 h',
      '2970: 2 days 2 h',
      '2880: 2 days',
      '4380: 3 days 1 h',
    ]);
  });
});
