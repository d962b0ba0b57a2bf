import { expect } from 'chai';
import { placeByHand } from '../../../test/support/placedByHand.ts';
import { createSeededRandom } from '../../numeric/seededRandom.ts';
import { fillsPanel, fitPanel } from './fitPanel.ts';

const panel = (width: number, height: number, sd: number) => ({
  width: { mm: width, sd },
  height: { mm: height, sd },
});
const steady = { marginMm: 0.5, sd: 0.25 };

describe('a decal on its panel', () => {
  it('too long by a margin is said, with the scale that fits', () => {
    const fit = fitPanel({ widthMm: 58, heightMm: 6 }, panel(57.2, 9, 0.15), steady);
    expect(fit.verdict).equal('does not fit');
    expect(fit.tooWide).closeTo(1.8, 1e-9);
    expect(fit.tooHigh).equal(0);
    expect(fit.margins.left.mm).closeTo(-0.4, 1e-9);
    expect(fit.largestScale).within(0.95, 0.98);
    const smaller = { widthMm: 58 * fit.largestScale!, heightMm: 6 * fit.largestScale! };
    expect(fitPanel(smaller, panel(57.2, 9, 0.15), steady).chance).closeTo(0.95, 1e-4);
  });

  it('without spread it fits or it does not, by the arithmetic alone', () => {
    const exact = { marginMm: 0.5, sd: 0 };
    expect(fitPanel({ widthMm: 9, heightMm: 9 }, panel(10, 10, 0), exact)).deep.include({ chance: 1, verdict: 'fits' });
    expect(fitPanel({ widthMm: 9.01, heightMm: 9 }, panel(10, 10, 0), exact)).deep.include({ chance: 0 });
    expect(fitPanel({ widthMm: 4.5, heightMm: 4.5 }, panel(10, 10, 0), exact).largestScale).closeTo(2, 1e-5);
  });

  it('both sides count: what each side holds by 95 % holds by 90', () => {
    // 1.645 spreads of the hand to each side, a panel that is known, and room enough above and below.
    const spare = 1.644854 * steady.sd;
    const fit = fitPanel({ widthMm: 20 - 1 - 2 * spare, heightMm: 1 }, panel(20, 20, 0), steady);
    expect(fit.chance).closeTo(0.9, 1e-5);
  });

  it('laid off its middle it shows less on one side, and holds less often; a hand that never errs holds or not', () => {
    const own = { widthMm: 18, heightMm: 4 };
    const off = fitPanel(own, panel(20, 8, 0), steady, { x: 0.3, y: -1 });
    expect([off.margins.left.mm, off.margins.right.mm].map((mm) => +mm.toFixed(6))).deep.equal([1.3, 0.7]);
    expect([off.margins.above.mm, off.margins.below.mm].map((mm) => +mm.toFixed(6))).deep.equal([1, 3]);
    expect(off.chance).below(fitPanel(own, panel(20, 8, 0), steady).chance);
    // The other way round is the same.
    expect(fitPanel(own, panel(20, 8, 0), steady, { x: -0.3, y: 1 }).chance).closeTo(off.chance, 1e-12);
    const exact = { marginMm: 0.5, sd: 0 };
    expect(fitPanel(own, panel(20, 8, 0), exact, { x: 0.5, y: 0 }).chance).equal(1);
    expect(fitPanel(own, panel(20, 8, 0), exact, { x: 0.51, y: 0 }).chance).equal(0);
  });

  it('is told from one that fills its band', () => {
    expect(fillsPanel({ widthMm: 60, heightMm: 2.4 }, panel(69.7, 2.5, 0.2))).equal(true);
    expect(fillsPanel({ widthMm: 69.6, heightMm: 1 }, panel(69.7, 2.5, 0.2))).equal(true);
    expect(fillsPanel({ widthMm: 60, heightMm: 2 }, panel(69.7, 2.5, 0.2))).equal(false);
  });

  it('no size does on a panel that is smaller than its margins', () => {
    expect(fitPanel({ widthMm: 1, heightMm: 1 }, panel(0.8, 5, 0.05), steady).largestScale).equal(null);
  });

  it('holds as often as it says when hands lay it (sample; the whole in bench)', () => {
    const random = createSeededRandom(33);
    let held = 0;
    const rounds = 3000;
    for (let i = 0; i < rounds; i++) {
      const own = { widthMm: 10 + 50 * random(), heightMm: 3 + 9 * random() };
      const known = panel(own.widthMm * (0.9 + 0.2 * random()), own.heightMm * (0.9 + 0.2 * random()) + 1.5, 0.2);
      const scale = fitPanel(own, known, steady).largestScale!;
      if (placeByHand({ widthMm: scale * own.widthMm, heightMm: scale * own.heightMm }, known, steady, random)) held++;
    }
    expect(held / rounds).within(0.935, 0.965);
  });
});
