import { expect } from 'chai';
import { sayCoats } from './sayCoats.ts';

const coat = (name: string, changes: { isMist?: boolean; area?: string; rejectedBecause?: string } = {}) => ({
  ...{ name, area: 'outside', isMist: false, rejectedBecause: null },
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

  it('says nothing of nothing', () => expect(sayCoats([])).equal(''));
});
