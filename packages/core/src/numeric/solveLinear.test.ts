import { expect } from 'chai';
import { createSeededRandom } from './seededRandom.ts';
import { solveLinear } from './solveLinear.ts';

describe('solveLinear', () => {
  it('solves what has one solution, pivots where it must, and says when there is none', () => {
    const [x, y] = solveLinear([
      [0, 2, 4],
      [3, 1, 5],
    ])!;
    expect(x).closeTo(1, 1e-15);
    expect(y).closeTo(2, 1e-15);
    expect(
      solveLinear([
        [1, 1, 2],
        [1, 1, 3],
      ]),
    ).equal(null);
    expect(solveLinear([[0, 1]])).equal(null);
    expect(solveLinear([])).deep.equal([]);
  });

  it('gives back what was multiplied, whatever the units of rows and unknowns (100 random systems)', () => {
    const random = createSeededRandom(9);
    const unit = () => 10 ** Math.round(random() * 24 - 12);
    for (let round = 0; round < 100; round++) {
      const n = 1 + Math.floor(random() * 8);
      const units = Array.from({ length: n }, unit);
      const x = units.map((one) => (random() * 2 - 1) / one);
      const rows = x.map(() => {
        const own = unit();
        return units.map((one) => own * one * (random() * 2 - 1));
      });
      const system = rows.map((row) => [...row, row.reduce((sum, one, i) => sum + one * x[i]!, 0)]);
      solveLinear(system)!.forEach((one, i) => expect(one * units[i]!).closeTo(x[i]! * units[i]!, 1e-6));
    }
  });

  it('takes what follows from the other rows but for rounding as no row of its own (100 random systems)', () => {
    const random = createSeededRandom(10);
    for (let round = 0; round < 100; round++) {
      const n = 2 + Math.floor(random() * 6);
      const rows = Array.from({ length: n - 1 }, () => Array.from({ length: n + 1 }, () => 1e6 * (random() * 2 - 1)));
      const shares = rows.map(() => random());
      const last = rows[0]!.map((_, i) => rows.reduce((sum, row, r) => sum + shares[r]! * row[i]!, 0));
      expect(solveLinear([...rows, last])).equal(null);
    }
  });
});
