import { expect } from 'chai';
import { isSamePrint } from './isSamePrint.ts';

const shape = (d: string, more: object = {}) => ({
  ...{ d, fill: '#101010' as string | null, isEvenOdd: false, stroke: null, strokeMm: 0, ...more },
});
const of = (...shapes: ReturnType<typeof shape>[]) => ({ id: 'a', widthMm: 20, shapes });
const BOARD = 'M0 0L20 0 20 6 0 6Z';

describe('two states of an artwork', () => {
  it('print the same by all that is seen, whatever was rounded', () => {
    expect(isSamePrint(of(shape(BOARD)), of(shape(BOARD)))).equal(true);
    expect(isSamePrint(of(shape(BOARD)), of(shape('M0 0L20.004 0, 20 5.996 0 6Z')))).equal(true);
    expect(isSamePrint(of(shape(BOARD)), { ...of(shape(BOARD)), widthMm: 20.01 })).equal(true);
  });

  it('do not when one is another, larger, traced anew or in another ink', () => {
    const board = of(shape(BOARD));
    expect(isSamePrint(board, { ...board, id: 'b' })).equal(false);
    expect(isSamePrint(board, { ...board, widthMm: 20.5 })).equal(false);
    for (const other of [
      of(shape('M0 0L20 0 20 6.5 0 6Z')),
      of(shape('M0 0H20V6H0Z')),
      of(shape('M0 0L20 0 20 6 0 6 0 3Z')),
      of(shape(BOARD, { fill: '#9c1f22' })),
      of(shape(BOARD, { stroke: '#101010', strokeMm: 0.4 })),
      of(shape(BOARD), shape('M1 1L2 1 2 2Z')),
    ])
      expect(isSamePrint(board, other), JSON.stringify(other.shapes)).equal(false);
  });
});
