import { expect } from 'chai';
import { findOptions } from './findOptions.ts';

const POTS = [
  { label: 'Slate blue', group: 'Goes on', note: 'enamel, 12.0 ml left' },
  { label: 'Ice blue', group: 'Goes on', note: 'enamel, nothing left' },
  { label: 'Blue black', group: 'Not now', note: 'lacquer lifts enamel' },
];

describe('finding one of many', () => {
  const find = (text: string) => findOptions(POTS, text).map(({ label }) => label);

  it('takes any words in any order, of the name, its group or its note', () => {
    expect(find('BLUE slate')).eql(['Slate blue']);
    expect(find('not lacquer')).eql(['Blue black']);
    expect(find('nothing left')).eql(['Ice blue']);
    expect(find('green')).eql([]);
  });

  it('keeps what fits first, but names that begin so come before it', () => {
    expect(find('')).eql(['Slate blue', 'Ice blue', 'Blue black']);
    expect(find('blue')).eql(['Blue black', 'Slate blue', 'Ice blue']);
  });
});
