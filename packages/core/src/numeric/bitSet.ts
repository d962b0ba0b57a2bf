/** A set of small whole numbers, one bit each: sets of tasks are joined and cut thirty-two at a time. */
export type BitSet = Uint32Array;

export const createBitSet = (size: number): BitSet => new Uint32Array(Math.ceil(size / 32));

export const hasBit = (bits: BitSet, at: number): boolean => (bits[at >> 5]! & (1 << (at & 31))) !== 0;

export function setBit(bits: BitSet, at: number): void {
  bits[at >> 5]! |= 1 << (at & 31);
}

export function clearBit(bits: BitSet, at: number): void {
  bits[at >> 5]! &= ~(1 << (at & 31));
}

/** Adds to the first set all that the second one holds; only what is in the mask too, where one is given. */
export function addAll(into: BitSet, from: BitSet, mask?: BitSet): void {
  for (let word = 0; word < into.length; word++) into[word]! |= mask ? from[word]! & mask[word]! : from[word]!;
}

/** What both sets hold. */
export const intersect = (a: BitSet, b: BitSet): BitSet => a.map((bits, word) => bits & b[word]!);

export const isEmpty = (bits: BitSet): boolean => bits.every((word) => word === 0);

/** Is everything of the first set in the second one? */
export function isWithin(bits: BitSet, whole: BitSet): boolean {
  for (let word = 0; word < bits.length; word++) if ((bits[word]! & ~whole[word]!) !== 0) return false;
  return true;
}

/** The numbers in it, rising; without those of another set, where one is given. */
export function listBits(bits: BitSet, without?: BitSet): number[] {
  const found: number[] = [];
  for (let word = 0; word < bits.length; word++)
    for (let left = without ? bits[word]! & ~without[word]! : bits[word]!; left !== 0; left &= left - 1)
      found.push(word * 32 + 31 - Math.clz32(left & -left));
  return found;
}

/** The highest number in the first set, below a limit, that the second one does not hold; -1 when there is none. */
export function highestBitWithout(bits: BitSet, without: BitSet, below: number): number {
  if (below <= 0) return -1;
  let word = (below - 1) >> 5;
  let left = bits[word]! & ~without[word]! & (0xffffffff >>> (31 - ((below - 1) & 31)));
  while (left === 0 && word > 0) left = bits[--word]! & ~without[word]!;
  return left === 0 ? -1 : word * 32 + 31 - Math.clz32(left);
}
