import { expect } from 'chai';
import { judgeBuild, USUAL_RELIEF } from './judgeBuild.ts';

const coat = (thicknessUm: number, thicknessOrigin: 'measured' | 'product sheet' = 'product sheet') => ({
  ...{ thicknessUm, thicknessOrigin },
});

describe('film build against the relief', () => {
  it('by hand: primer and two coats of 14, 22 and 22 µm over lettering of 150 µm', () => {
    const build = judgeBuild([coat(14), coat(22)], [coat(22)]);
    // 58, and a spread of a fifth each: 0.2 * sqrt(14^2 + 2 * 22^2) = 6.8235.
    expect(build.totalUm).equal(58);
    expect(build.spreadUm).closeTo(6.8235, 1e-3);
    expect(build.leftUm).closeTo(120 - 58 - 1.28155 * 6.8235, 1e-2);
    expect(build.verdict).equal('fine');
  });

  it('rounds from half of the depth on, and fills in from four fifths, on the careful side', () => {
    const verdictOf = (um: number, depthUm: number) =>
      judgeBuild([], [coat(um, 'measured')], { depthUm, origin: 'measured' }).verdict;
    // Measured within 5 %: 1.064 of what it is.
    expect(verdictOf(46.9, 100)).equal('fine');
    expect(verdictOf(47.1, 100)).equal('rounds');
    expect(verdictOf(75.1, 100)).equal('rounds');
    expect(verdictOf(75.3, 100)).equal('fills in');
    expect(judgeBuild([coat(200)], []).leftUm).equal(0);
  });

  it('is less sure of what was not measured, and takes the usual relief where nobody measured it', () => {
    expect(judgeBuild([], [coat(100)]).leftUm).lessThan(judgeBuild([], [coat(100, 'measured')]).leftUm);
    expect(USUAL_RELIEF.origin).equal('planning estimate');
    expect(judgeBuild([], []).verdict).equal('fine');
  });
});
