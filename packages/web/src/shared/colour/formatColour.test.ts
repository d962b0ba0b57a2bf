import { expect } from 'chai';
import { formatGrams, formatLab, formatLabSpread, formatMl } from './formatColour.ts';

describe('colours in figures', () => {
  it('have a true minus and one decimal', () => {
    expect(formatLab([41.23, -3.04, 0])).equal('L* 41.2, a* −3.0, b* 0.0');
    expect(formatLab([0, -0.04, 14.96])).equal('L* 0.0, a* 0.0, b* 15.0');
  });

  it('carry their spread', () =>
    expect(formatLabSpread([41.2, -3, 14], [0.55, 1, 0.04])).equal('L* 41.2 ± 0.6, a* −3.0 ± 1.0, b* 14.0 ± 0.0'));

  it('say volumes and masses as finely as they are measured', () => {
    expect([0.014, 0.5, 2, 18.04].map(formatMl)).deep.equal(['0.01 ml', '0.50 ml', '2.00 ml', '18.0 ml']);
    expect(formatGrams(0.1)).equal('0.10 g');
  });
});
