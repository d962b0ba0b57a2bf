import { expect } from 'chai';
import type { ProductionSpan } from '../model/catalogue.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { parseYears, sayYears } from './years.ts';

const ends = (text: string) => {
  const span = parseYears(text);
  return span && [span.startEarliest, span.startLatest, span.endEarliest, span.endLatest];
};

describe('years in one field', () => {
  for (const [text, wanted] of [
    ['1964', [1964, 1964.5, 1964.5, 1965]],
    ['1964-68', [1964, 1965, 1968, 1969]],
    ['1964–1968', [1964, 1965, 1968, 1969]],
    ['from 1964 to 1968', [1964, 1965, 1968, 1969]],
    ['1998-02', [1998, 1999, 2002, 2003]],
    ['1964 - early 1966', [1964, 1965, 1966, 1966.25]],
    ['about 1966', [1965, 1966.5, 1966.5, 1968]],
    ['c. 1964-68', [1963, 1966, 1967, 1970]],
    ['spring 1965 on', [1965.25, 1965.5, 1965.5, 1973.5]],
    ['from 1965', [1965, 1966, 1966, 1974]],
    ['until 1968', [1960, 1968, 1968, 1969]],
    ['1960s', [1960, 1965, 1965, 1970]],
    ['late 1962 to summer 1963', [1962.75, 1963, 1963.5, 1963.75]],
    ['first half of 1962 to second half 1963', [1962, 1962.5, 1963.5, 1964]],
    ['1964-64', [1964, 1964.5, 1964.5, 1965]],
    ['1962.5/1963 to 1964/1965.25', [1962.5, 1963, 1964, 1965.25]],
  ] as const)
    it(`reads "${text}"`, () => expect(ends(text)).deep.equal(wanted));

  it('reads months as twelfths, short and long', () => {
    for (const text of ['May 1965 to Sept. 1966', 'may 1965 - september 1966']) {
      const span = parseYears(text)!;
      expect(span.startEarliest).closeTo(1965 + 4 / 12, 1e-9);
      expect(span.startLatest).closeTo(1965 + 5 / 12, 1e-9);
      expect(span.endLatest).closeTo(1966 + 9 / 12, 1e-9);
    }
  });

  it('says that it cannot read what names no year, or years in the wrong order', () => {
    for (const text of [
      '',
      '64',
      'soon',
      '1964-',
      '-68',
      '1968 to 1964',
      '1968-64',
      '19645',
      '1500',
      'sprang 1965',
      '1964 to 1966 to 1968',
      '2200',
    ])
      expect(parseYears(text), text).equal(null);
  });

  it('says any span in words, or in figures, that are read as the same span', () => {
    const random = createSeededRandom(8);
    const quarter = () => Math.floor(random() * 12) / 4;
    for (let i = 0; i < 2000; i++) {
      const sorted = [0, 0, 0, 0].map(() => (i % 3 ? quarter() : Math.floor(random() * 4)));
      const [a, b, c, d] = sorted.sort((x, y) => x - y).map((one) => 1955 + one + Math.floor(random() * 2));
      const span: ProductionSpan = { startEarliest: a!, startLatest: Math.max(a!, b!), endEarliest: 0, endLatest: 0 };
      const whole = {
        ...span,
        endEarliest: Math.max(span.startLatest, c!),
        endLatest: Math.max(span.startLatest, c!, d!),
      };
      expect(parseYears(sayYears(whole)), sayYears(whole)).deep.equal(whole);
    }
  });

  it('keeps to words where there are some', () => {
    for (const words of [
      '1964',
      '1964-68',
      'about 1966',
      'about 1964 to 1968',
      'spring 1965 on',
      'until 1968',
      '1960s',
      'late 1962 to summer 1963',
    ])
      expect(sayYears(parseYears(words)!)).equal(words);
  });
});
