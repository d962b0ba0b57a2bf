/**
 * A set of small whole numbers, one bit each: sets of tasks are joined and cut thirty at a time. Thirty, so that a word stays
 * a small integer of the engine and a set a plain array: typed arrays cost several times as much to make.
 */
export type BitSet = number[];

const WORD = 30;
const FULL = 2 ** WORD - 1;

export const createBitSet = (size: number): BitSet => new Array<number>(Math.ceil(size / WORD)).fill(0);

export const hasBit = (bits: BitSet, at: number): boolean => (bits[(at / WORD) | 0]! & (1 << (at % WORD))) !== 0;

export function setBit(bits: BitSet, at: number): void {
  bits[(at / WORD) | 0]! |= 1 << (at % WORD);
}

export function clearBit(bits: BitSet, at: number): void {
  bits[(at / WORD) | 0]! &= ~(1 << (at % WORD));
}

/** Adds to the first set all that the second one holds; only what is in the mask too, where one is given. */
export function addAll(into: BitSet, from: BitSet, mask?: BitSet): void {
  if (mask) for (let word = 0; word < into.length; word++) into[word]! |= from[word]! & mask[word]!;
  else for (let word = 0; word < into.length; word++) into[word]! |= from[word]!;
}

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
      found.push(word * WORD + 31 - Math.clz32(left & -left));
  return found;
}

/** The highest number in the first set, below a limit, that the second one does not hold; -1 when there is none. */
export function highestBitWithout(bits: BitSet, without: BitSet, below: number): number {
  if (below <= 0) return -1;
  let word = ((below - 1) / WORD) | 0;
  let left = bits[word]! & ~without[word]! & (FULL >> (WORD - 1 - ((below - 1) % WORD)));
  while (left === 0 && word > 0) left = bits[--word]! & ~without[word]!;
  return left === 0 ? -1 : word * WORD + 31 - Math.clz32(left);
}

export const isEmpty = (bits: BitSet): boolean => bits.every((word) => word === 0);
