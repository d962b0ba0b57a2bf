import type { WantBit } from './workpiece.ts';

/** Lines for the bits that a casting's list names, apart by commas; each is looked for in the drawers first. */
export const beginBits = (list: string): WantBit[] =>
  list
    .split(',')
    .map((what) => what.trim())
    .filter((what) => what !== '')
    .map((what, i) => ({
      id: `bit-${i + 1}`,
      what,
      amount: 1,
      by: 'drawer',
      thingId: null,
      isHere: false,
      price: null,
    }));

/** "hinge pin, 2 washers": what is wanted beside the part itself. */
export const listBits = (bits: readonly Pick<WantBit, 'what' | 'amount'>[]): string =>
  bits.map(({ what, amount }) => (amount === 1 ? what : `${amount} ${what}`)).join(', ');

/** "door with hinge pin". */
export const callWant = ({ what, bits }: { readonly what: string; readonly bits: readonly WantBit[] }): string =>
  bits.length ? `${what} with ${listBits(bits)}` : what;

/** Comes out of a drawer that somebody named. */
export const isDrawn = ({ by, thingId }: Pick<WantBit, 'by' | 'thingId'>): boolean =>
  by === 'drawer' && thingId !== null;
