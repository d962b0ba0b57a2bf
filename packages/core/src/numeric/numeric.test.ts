import { expect } from 'chai';
import { createSeededRandom, pickOne } from './seededRandom.ts';

describe('createSeededRandom', () => {
  it('repeats for a seed and differs between seeds', () => {
    const take = (seed: number) => Array.from({ length: 5 }, createSeededRandom(seed));
    expect(take(7)).deep.equal(take(7));
    expect(take(7)).not.deep.equal(take(8));
  });

  it('is spread evenly over [0, 1)', () => {
    const random = createSeededRandom(1);
    const bins = new Array<number>(10).fill(0);
    for (let i = 0; i < 20000; i++) bins[Math.floor(random() * 10)]!++;
    for (const count of bins) expect(count).within(1800, 2200);
  });

  it('picks every element, and refuses an empty list', () => {
    const random = createSeededRandom(3);
    expect(new Set(Array.from({ length: 60 }, () => pickOne(['a', 'b', 'c'], random)))).deep.equal(
      new Set(['a', 'b', 'c']),
    );
    expect(() => pickOne([], random)).throw('the list is empty');
  });
});
