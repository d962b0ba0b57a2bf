import { expect } from 'chai';
import { refuseLiquor } from './checkVessel.ts';
import { topUpBath } from './topUpBath.ts';

describe('topping a bath up', () => {
  it('keeps its strength with more of the same, and all that is dissolved with water', () => {
    const bath = { litres: 0.5, gramsPerLitre: 50 };
    expect(topUpBath(bath, 0.8, 'the same')).deep.equal({ litres: 0.8, gramsPerLitre: 50 });
    const weaker = topUpBath(bath, 0.8, 'water');
    expect(weaker.gramsPerLitre * weaker.litres).closeTo(25, 0.1);
  });
});

describe('liquor in a vessel', () => {
  const jar = { name: 'Jar', lengthMm: 100, widthMm: 100, depthMm: 100, isRound: false };

  it('goes in up to half of it, and what would do is named', () => {
    expect(refuseLiquor(jar, 0.5)).equal(null);
    expect(refuseLiquor(jar, 0.6)).include('at most 0.5 l').and.include('want a vessel of 1.2 l');
  });
});
