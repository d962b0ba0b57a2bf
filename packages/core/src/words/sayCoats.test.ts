import { expect } from 'chai';
import { sayCoats } from './sayCoats.ts';

const coat = (name: string, changes: Partial<Parameters<typeof sayCoats>[0][number]> = {}) => ({
  ...{ name, area: 'outside', isMist: false, rejectedBecause: null, how: null, decalMm: null },
  ...changes,
});

describe('coats in words', () => {
  it('counts those that follow each other, the mist apart', () =>
    expect(
      sayCoats([coat('Grey primer'), coat('Deep green', { isMist: true }), coat('Deep green'), coat('Deep green')]),
    ).equal('Grey primer, Deep green (mist and 2 coats)'));

  it('keeps areas and interrupted colours apart', () =>
    expect(sayCoats([coat('Red'), coat('White'), coat('Red'), coat('Red', { area: 'roof' })])).equal(
      'Red, White, Red, Red',
    ));

  it('says how many of them were rejected', () =>
    expect(sayCoats([coat('Red', { rejectedBecause: 'runs' }), coat('Red')])).equal('Red (2 coats, 1 rejected)'));

  it('says how they were put on, once where it was the same, and how large a decal is', () => {
    const how = { batch: '7', thinnerParts: 1, pressureBar: null, nozzleMm: null, humidity: null };
    expect(sayCoats([coat('Red', { how }), coat('Red', { how })])).equal('Red (2 coats, thinned 1 : 1, batch 7)');
    expect(sayCoats([coat('Crest', { decalMm: { widthMm: 4, heightMm: 6.5 } })])).equal('Crest (4 × 6.5 mm)');
  });

  it('says nothing of nothing', () => expect(sayCoats([])).equal(''));
});
