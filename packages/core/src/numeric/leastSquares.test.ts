import { expect } from 'chai';
import { drawNormal } from './drawNormal.ts';
import { leastSquares } from './leastSquares.ts';
import { createSeededRandom } from './seededRandom.ts';

const random = createSeededRandom(8);

describe('least squares', () => {
  it('gives back the coefficients of what has no error (50 random systems, seed 8)', () => {
    for (let run = 0; run < 50; run++) {
      const truth = Array.from({ length: 4 }, () => drawNormal(random));
      const rows = Array.from({ length: 12 }, () => truth.map(() => drawNormal(random)));
      const right = rows.map((row) => row.reduce((sum, one, i) => sum + one * truth[i]!, 0));
      leastSquares(rows, right, [])!.forEach((one, i) => expect(one).closeTo(truth[i]!, 1e-5));
    }
  });

  it('follows the weights: what counts nothing moves nothing', () => {
    const rows = [[1], [1], [1]];
    expect(leastSquares(rows, [2, 4, 99], [1, 1, 0])![0]).closeTo(3, 1e-6);
    expect(leastSquares(rows, [2, 4, 99], [3, 1, 0])![0]).closeTo(2.5, 1e-6);
  });

  it('says when nothing is known of a term, and shares out what cannot be told apart', () => {
    expect(leastSquares([[0, 0]], [1], [])).equal(null);
    const [a, b] = leastSquares([[1, 1]], [4], [])!;
    expect(a).closeTo(2, 1e-6);
    expect(b).closeTo(2, 1e-6);
  });
});

describe('normal numbers', () => {
  it('have mean 0, spread 1, and one in twenty beyond 1.96 (20,000, seed 8)', () => {
    const drawn = Array.from({ length: 20_000 }, () => drawNormal(random));
    const mean = drawn.reduce((sum, one) => sum + one, 0) / drawn.length;
    const variance = drawn.reduce((sum, one) => sum + (one - mean) ** 2, 0) / drawn.length;
    expect(mean).closeTo(0, 0.03);
    expect(variance).closeTo(1, 0.04);
    expect(drawn.filter((one) => Math.abs(one) > 1.96).length / drawn.length).closeTo(0.05, 0.007);
  });
});
