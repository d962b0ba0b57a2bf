import { expect } from 'chai';
import fc from 'fast-check';
import { logSumExp } from './logSumExp.ts';
import { createSeededRandom, pickOne } from './seededRandom.ts';

describe('logSumExp', () => {
  it('adds in logs without overflow or underflow', () => {
    expect(logSumExp([0, 0])).closeTo(Math.log(2), 1e-12);
    expect(logSumExp([-1000, -1000])).closeTo(-1000 + Math.log(2), 1e-9);
    expect(logSumExp([1000, -Infinity])).equal(1000);
  });

  it('is minus infinity for nothing', () => {
    expect(logSumExp([])).equal(-Infinity);
    expect(logSumExp([-Infinity, -Infinity])).equal(-Infinity);
  });

  it('moves with a shift of all terms (property)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -50, max: 50, noNaN: true }), { minLength: 1 }),
        fc.double({ min: -100, max: 100, noNaN: true }),
        (values, shift) => {
          expect(logSumExp(values.map((value) => value + shift))).closeTo(logSumExp(values) + shift, 1e-9);
        },
      ),
    );
  });
});

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
