import { expect } from 'chai';
import { checkVessel, type Dipped, type Vessel } from './checkVessel.ts';

/** Half a litre to the rim: 100 by 50 by 100 mm. */
const dish: Vessel = { lengthMm: 100, widthMm: 50, depthMm: 100, isRound: false };
const body: Dipped = { lengthMm: 60, widthMm: 30, heightMm: 25, volumeMl: 10 };

describe('checkVessel', () => {
  it('counts what is pushed aside', () => {
    // 165 ml and 10 ml on 5000 mm²: 35 mm, just 10 mm over the roof.
    expect(checkVessel(dish, [body], 165)).deep.equal({ isCovered: true, levelMm: 35, pourMl: 165, problems: [] });
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
