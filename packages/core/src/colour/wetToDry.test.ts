import { expect } from 'chai';
import { drawNormal } from '../numeric/drawNormal.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { computeDe00 } from './difference.ts';
import { learnDryingShift, predictDry } from './wetToDry.ts';

const wet = [50, 10, -20] as const;
const dryBy = (dl: number) => [50 + dl, 10, -20] as const;

describe('wet to dry', () => {
  it('expects gloss to darken by two, matt to stay, and says how little that is to be trusted', () => {
    const gloss = learnDryingShift([], 'gloss');
    expect(gloss.shift[0]).closeTo(-2, 1e-12);
    expect(gloss.pairs).equal(0);
    expect(learnDryingShift([], 'matt').shift[0]).equal(0);
    expect(learnDryingShift([], 'matt').sd[0]).greaterThan(gloss.sd[0]);
    expect(learnDryingShift([], 'metallic').shift).deep.equal(gloss.shift);
  });

  it('goes over to what was logged, the more pairs the nearer, and is surer with each', () => {
    const pairs = (count: number) => Array.from({ length: count }, () => ({ wet, dry: dryBy(-5) }));
    const learned = [0, 1, 3, 12].map((count) => learnDryingShift(pairs(count), 'gloss'));
    for (let i = 1; i < learned.length; i++) {
      expect(learned[i]!.shift[0]).lessThan(learned[i - 1]!.shift[0]);
      expect(learned[i]!.sd[0]).lessThan(learned[i - 1]!.sd[0]);
    }
    expect(learned[3]!.shift[0]).closeTo(-5, 0.1);
  });

  it('predicts the dry colour within its own spread on simulated lines (seed 5)', () => {
    const random = createSeededRandom(5);
    let inside = 0;
    for (let line = 0; line < 300; line++) {
      const shift = -2 + 1.5 * drawNormal(random);
      const pair = () => ({ wet, dry: dryBy(shift + 0.8 * drawNormal(random)) });
      const { lab, sd } = predictDry(wet, learnDryingShift([pair(), pair(), pair()], 'gloss'));
      if (Math.abs(lab[0] - pair().dry[0]) <= 2 * sd[0]) inside++;
    }
    expect(inside / 300).within(0.9, 0.99);
  });

  it('leaves the hue of a grey alone: its angle says nothing', () => {
    const { shift } = learnDryingShift([{ wet: [40, 1, 0], dry: [38, -1, 0] }], 'gloss');
    expect(shift[2]).equal(0);
    const { lab } = predictDry([40, 0.5, 0.5], learnDryingShift([], 'gloss'));
    expect(computeDe00(lab, [38, 0.5, 0.5])).lessThan(0.1);
  });

  it('turns the shorter way round the hue circle', () => {
    const at = (degrees: number) =>
      [50, 20 * Math.cos((degrees * Math.PI) / 180), 20 * Math.sin((degrees * Math.PI) / 180)] as const;
    const { shift } = learnDryingShift(
      Array.from({ length: 50 }, () => ({ wet: at(179), dry: at(-177) })),
      'gloss',
    );
    expect(shift[2]).within(3, 4.01);
  });

  it('stays within what can be shown', () => {
    expect(predictDry([1, 0, 0], learnDryingShift([], 'gloss')).lab[0]).equal(0);
  });
});
