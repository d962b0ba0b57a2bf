import { expect } from 'chai';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { checkVessel, computeMostLiquor, computeVesselLitres, type Dipped, type Vessel } from './checkVessel.ts';

/** Half a litre to the rim: 100 by 50 by 100 mm. */
const dish: Vessel = { lengthMm: 100, widthMm: 50, depthMm: 100, isRound: false };
const body: Dipped = { lengthMm: 60, widthMm: 30, heightMm: 25, volumeMl: 10 };

describe('checkVessel', () => {
  it('counts what is pushed aside', () => {
    // 165 ml and 10 ml on 5000 mm²: 35 mm, just 10 mm over the roof.
    expect(checkVessel(dish, [body], 165)).deep.equal({
      ...{ isCovered: true, levelMm: 35, pourMl: 165, leastMm: null, problems: [] },
    });
  });

  it('says how high it stands and how high it should', () => {
    const { isCovered, problems } = checkVessel(dish, [body], 100);
    expect(isCovered).equal(false);
    expect(problems).deep.equal(['The liquor stands 22 mm high; 35 mm would cover it by 10 mm.']);
  });

  it('keeps half of the vessel free', () => {
    const { pourMl, problems } = checkVessel(dish, [{ ...body, heightMm: 45 }], 300);
    expect(pourMl).equal(null);
    expect(problems.at(-1)).match(/half of it stays free/);
  });

  it('names the smallest vessel that would do, and it does (seeded)', () => {
    const random = createSeededRandom(5);
    const size = () => 5 + Math.floor(90 * random());
    for (let i = 0; i < 300; i++) {
      const dipped = Array.from({ length: 1 + Math.floor(3 * random()) }, () => {
        const [lengthMm, widthMm, heightMm] = [size(), size(), size()];
        return { lengthMm, widthMm, heightMm, volumeMl: (0.3 * lengthMm * widthMm * heightMm) / 1000 };
      });
      const least = checkVessel({ ...dish, lengthMm: 20, widthMm: 20, depthMm: 12 }, dipped, 0).leastMm;
      if (least === null) continue;
      const vessel = { ...least, isRound: false };
      const { pourMl, leastMm } = checkVessel(vessel, dipped, 0);
      expect(leastMm).equal(null);
      expect(pourMl).not.equal(null);
      expect(checkVessel(vessel, dipped, pourMl!).problems).deep.equal([]);
      expect(pourMl! / 1000).at.most(computeMostLiquor(vessel) + 1e-9);
    }
  });

  it('holds what its inside says, and half of it as liquor', () => {
    expect(computeVesselLitres(dish)).closeTo(0.5, 1e-12);
    expect(computeMostLiquor(dish)).closeTo(0.25, 1e-12);
    expect(computeVesselLitres({ lengthMm: 100, widthMm: 100, depthMm: 100, isRound: true })).closeTo(
      Math.PI / 4,
      1e-12,
    );
  });

  it('turns a part to fit, but lays none on another', () => {
    expect(checkVessel(dish, [{ ...body, lengthMm: 40, widthMm: 90 }], 200).problems).deep.equal([]);
    expect(checkVessel(dish, [body, body, body], 200).problems[0]).include('does not lie flat');
    expect(
      checkVessel({ ...dish, widthMm: 100, isRound: true }, [{ ...body, lengthMm: 95, widthMm: 40 }], 300).problems[0],
    ).include('does not lie flat');
  });

  it('rises with every part put in (seeded)', () => {
    let before = 0;
    for (let count = 0; count < 5; count++) {
      const { levelMm } = checkVessel(
        { ...dish, lengthMm: 400 },
        Array.from({ length: count }, () => body),
        200,
      );
      expect(levelMm).at.least(before);
      before = levelMm;
    }
  });

  it('refuses sizes that are none', () => {
    expect(() => checkVessel({ ...dish, depthMm: 0 }, [], 10)).throw('above 0');
    expect(() => checkVessel(dish, [], -1)).throw('0 ml or more');
  });
});
