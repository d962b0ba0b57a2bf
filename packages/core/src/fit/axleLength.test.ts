import { expect } from 'chai';
import { computeEndStock, computeFlat, computeFlatWidth, type AxleEnd } from './axleEnds.ts';
import { computeAxleNeed, judgeAfterGrinding, judgeLength, type AxlePlace } from './axleLength.ts';
import { decide } from './reading.ts';

const DOMED: AxleEnd = { kind: 'domed', headDiameter: 2.4, headHeight: 0.6 };
const CRIMPED: AxleEnd = { kind: 'crimped', bore: 1.4, flatLength: 1.5, isAnnealed: true };
const PRESSED: AxleEnd = { kind: 'pressed' };
const place = (changes: Partial<AxlePlace> = {}): AxlePlace => ({
  ...{ outside: { mm: 25, sd: 0.03 }, clearance: 0.4, diameter: 1.2, ends: [DOMED, DOMED] },
  ...changes,
});

describe('axle ends', () => {
  it('by hand: a dome takes as much round as its cap has volume', () => {
    // pi 0.6 (3 1.44 + 0.36) / 6 = 1.4703 mm3 over 1.13097 mm2; the spread of its height adds 0.0036 x 1.8 pi/6 / 1.131.
    const { stock, fault } = computeEndStock(DOMED, 1.2);
    expect(stock.mm).closeTo(1.47027 / 1.13097 + 0.0036 * 0.6 * 3 * (Math.PI / 6 / 1.13097), 1e-4);
    // pi (1.44 + 0.36) / 2 = 2.8274 mm2, 2.5 times the section: as many times the spread of the height.
    expect(stock.sd).closeTo(2.5 * 0.06, 1e-6);
    expect(fault).equal(null);
  });

  it('buckle where more than 2.3 diameters stand out', () => {
    const large: AxleEnd = { kind: 'domed', headDiameter: 3.4, headHeight: 0.9 };
    expect(computeEndStock(large, 1.2).stock.mm).greaterThan(2.3 * 1.2);
    expect(computeEndStock(large, 1.2).fault).equal('buckles');
    expect(computeEndStock({ ...large, headDiameter: 2.4, headHeight: 0.7 }, 1.2).fault).equal(null);
  });

  it('golden: a round of 1.2 is squeezed to 0.733 to be 1.7 wide, and that is as wide as it then is', () => {
    expect(computeFlat(1.2, 1.7)).closeTo(0.733, 5e-4);
    expect(computeFlatWidth(1.2, 0.733)).closeTo(1.7, 1e-3);
    expect(computeFlat(1.2, 1.2)).equal(null);
    for (const width of [1.3, 1.6, 2.2, 3])
      expect(computeFlatWidth(1.2, computeFlat(1.2, width)!)).closeTo(width, 1e-9);
  });

  it('of a flat take its length, and crack where it would have to be too thin; hard steel sooner', () => {
    const { stock, flatTo, fault } = computeEndStock(CRIMPED, 1.2);
    expect(stock).deep.equal({ mm: 1.5, sd: 0.15 });
    expect(flatTo).closeTo(0.733, 5e-4);
    expect(fault).equal(null);
    expect(computeEndStock({ ...CRIMPED, isAnnealed: false }, 1.2).fault).equal('cracks');
    expect(computeEndStock({ ...CRIMPED, bore: 2 }, 1.2).fault).equal('cracks');
    expect(computeEndStock({ ...CRIMPED, bore: 2 }, 1.6).fault).equal(null);
  });

  it('that are pressed or glued take none', () =>
    expect(computeEndStock(PRESSED, 1.2)).deep.equal({ stock: { mm: 0, sd: 0 }, flatTo: null, fault: null }));
});

describe('the length of an axle', () => {
  it('by hand: over the wheels, play, and what both ends take', () => {
    const pressed = computeAxleNeed(place({ ends: [PRESSED, PRESSED] }));
    expect(pressed.length.mm).closeTo(25.4, 1e-12);
    expect(pressed.length.sd).closeTo(0.03, 1e-12);
    const mixed = computeAxleNeed(place({ ends: [CRIMPED, PRESSED] }));
    expect(mixed.length.mm).closeTo(26.9, 1e-12);
    expect(mixed.length.sd).closeTo(Math.hypot(0.03, 0.15), 1e-12);
  });

  it('is enough, not enough, or measured again within 1.7 standard deviations of the limit', () => {
    const need = { mm: 20, sd: 0.15 };
    const answer = (mm: number) => judgeLength({ mm, sd: 0.2 }, need).decision;
    // Root of 0.04 + 0.0225 is 0.25: 0.425 either way.
    expect([20.43, 20.42, 20, 19.58, 19.57].map(answer)).deep.equal([
      'yes',
      'measure again',
      'measure again',
      'measure again',
      'no',
    ]);
  });

  it('that is known exactly is enough when it just is', () => {
    expect(decide({ mm: 0, sd: 0 })).equal('yes');
    expect(decide({ mm: -0.001, sd: 0 })).equal('no');
  });

  it('with a head ground off lacks what the new head takes, unless the wheels ran that loose', () => {
    const seated = (overall: number) => ({
      overall: { mm: overall, sd: 0.02 },
      heads: [
        { mm: 0.6, sd: 0.02 },
        { mm: 0.6, sd: 0.02 },
      ] as const,
    });
    // 27.0 less two heads and a tenth is 25.7; 25 + 0.4 + 1.3 is needed.
    const tight = judgeAfterGrinding(seated(27), place());
    expect(tight.have.mm).closeTo(25.7, 1e-12);
    expect(tight.need.mm).closeTo(26.7, 0.01);
    expect(tight.decision).equal('no');
    expect(judgeAfterGrinding(seated(29), place()).decision).equal('yes');
    expect(judgeAfterGrinding(seated(28), place()).decision).equal('measure again');
    expect(judgeAfterGrinding(seated(27), place({ ends: [PRESSED, DOMED] })).decision).equal('yes');
  });
});
