import { expect } from 'chai';
import { findOverlap } from './findOverlap.ts';

const corners = (w: number, h: number, x = 0, y = 0) => [
  { x, y },
  { x: x + w, y },
  { x: x + w, y: y + h },
  { x, y: y + h },
];
const piece = (id: string, x: number, y: number, turn: 0 | 90 = 0) => ({ id, outline: corners(20, 6), x, y, turn });
const SHEET = { lengthMm: 100, widthMm: 60 };

describe('pieces that lie on each other', () => {
  it('are named, those that only touch are not', () => {
    expect(findOverlap([piece('a', 0, 0), piece('b', 20, 0), piece('c', 0, 6)], SHEET)).equal(null);
    expect(findOverlap([piece('a', 0, 0), piece('b', 19.5, 3)], SHEET)).equal('b');
    expect(findOverlap([piece('a', 0, 0), piece('b', 5, 5, 90)], SHEET)).equal('b');
  });

  it('nor off the sheet, by any edge', () => {
    for (const [x, y] of [
      [-1, 0],
      [0, -1],
      [81, 0],
      [0, 55],
    ] as const)
      expect(findOverlap([piece('a', x, y)], SHEET), `${x} ${y}`).equal('a');
    expect(findOverlap([piece('a', 80, 54)], SHEET)).equal(null);
    expect(findOverlap([piece('a', 90, 0, 90)], SHEET)).equal(null);
  });

  it('nor on what is gone, though that may reach over the edge', () => {
    const gone = [corners(30, 10, -0.5, -0.5)];
    expect(findOverlap([piece('a', 25, 5)], SHEET, gone)).equal('a');
    expect(findOverlap([piece('a', 31, 0), piece('b', 0, 11)], SHEET, gone)).equal(null);
  });
});
