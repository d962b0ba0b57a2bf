import { expect } from 'chai';
import fc from 'fast-check';
import { convertLabToPolar, convertPolarToLab } from './polar.ts';

describe('lightness, chroma and hue', () => {
  it('lie where the axes are', () => {
    expect(convertLabToPolar([50, 10, 0])).deep.equal({ lightness: 50, chroma: 10, hue: 0 });
    expect(convertLabToPolar([50, 0, 10]).hue).closeTo(90, 1e-9);
    expect(convertLabToPolar([50, 0, -10]).hue).closeTo(270, 1e-9);
    expect(convertLabToPolar([50, 0, 0])).deep.equal({ lightness: 50, chroma: 0, hue: 0 });
  });

  it('come back as they went (property)', () => {
    const axis = fc.double({ min: -120, max: 120, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: 0, max: 100, noNaN: true }), axis, axis, (l, a, b) => {
        const polar = convertLabToPolar([l, a, b]);
        expect(polar.hue).within(0, 360);
        const back = convertPolarToLab(polar);
        for (const [i, one] of [l, a, b].entries()) expect(back[i]).closeTo(one, 1e-9);
      }),
    );
  });
});
