import { expect } from 'chai';
import {
  addAll,
  clearBit,
  createBitSet,
  hasBit,
  highestBitWithout,
  intersect,
  isEmpty,
  isWithin,
  listBits,
  setBit,
} from './bitSet.ts';
import { createSeededRandom } from './seededRandom.ts';

const from = (numbers: Iterable<number>, size = 100) => {
  const bits = createBitSet(size);
  for (const number of numbers) setBit(bits, number);
  return bits;
};

describe('bitSet', () => {
  it('does what a set of numbers does (200 random pairs)', () => {
    const random = createSeededRandom(7);
    for (let round = 0; round < 200; round++) {
      const [a, b, mask] = [0, 1, 2].map(() => new Set(Array.from({ length: 12 }, () => Math.floor(random() * 100))));
      const joined = from(a!);
      addAll(joined, from(b!), from(mask!));
      const expected = new Set([...a!, ...[...b!].filter((one) => mask!.has(one))]);
      expect(listBits(joined)).deep.equal([...expected].sort((x, y) => x - y));
      expect(listBits(from(a!), from(b!))).deep.equal([...a!].filter((one) => !b!.has(one)).sort((x, y) => x - y));
      expect(listBits(intersect(from(a!), from(b!)))).deep.equal(
        [...a!].filter((one) => b!.has(one)).sort((x, y) => x - y),
      );
      expect(isWithin(from(a!), joined)).equal(true);
      expect(isWithin(joined, from(a!))).equal([...expected].every((one) => a!.has(one)));
    }
  });

  it('sets and clears the last bit of a word like any other', () => {
    const bits = from([31, 32, 63]);
    clearBit(bits, 31);
    expect([31, 32, 63].map((at) => hasBit(bits, at))).deep.equal([false, true, true]);
    expect(listBits(createBitSet(0))).deep.equal([]);
    const walked: number[] = [];
    const without = from([40, 63]);
    setBit(bits, 40);
    for (let at = highestBitWithout(bits, from([]), 100); at >= 0; at = highestBitWithout(bits, from([]), at))
      walked.push(at);
    expect(walked).deep.equal([63, 40, 32]);
    expect(highestBitWithout(bits, without, 100)).equal(32);
    expect(highestBitWithout(bits, without, 32)).equal(-1);
    expect(isEmpty(from([]))).equal(true);
    expect(isEmpty(bits)).equal(false);
  });
});
