import { expect } from 'chai';
import { convertHexToLab } from '../colour/display.ts';
import { needOfColour, type ColourNeed } from './needOfColour.ts';
import { pourFor } from './pourFor.ts';

const BLUE = '#4d6378';
const need = (changes: Partial<ColourNeed> = {}): ColourNeed => ({
  ...{ jobId: 'j', jobNumber: 'J-1', specimenName: 'Van', partName: 'Body', areaName: 'outside' },
  ...{ colourHex: BLUE, coatsLeft: 2, size: { value: 40, relativeSd: 0.2, way: 'drawing' }, way: 'airbrush' },
  ...changes,
});
const enamel = { binder: 'enamel' as const, dryFilmUm: 20, densityGPerMl: 1, dropMl: 0.05 };
const of = (...needs: readonly ColourNeed[]) => needOfColour(convertHexToLab(BLUE), needs, enamel);

describe('how much of a colour is needed', () => {
  it('of one area is what its coats take', () => {
    const pour = pourFor(need().size!, enamel, 2, 'airbrush');
    expect(of(need())!.ml).closeTo(pour.ml, 1e-9);
    expect(of(need())!.upper90).closeTo(pour.upper90, 1e-9);
  });

  it('by hand: several parts share the cup, so they take less than each by itself', () => {
    // 80 cm2 twice 20 um is 0.32 ml dry; 0.45 of it solids, half lands; the cup loses 0.5 ml twice, half of it thinner.
    const two = of(need(), need({ partName: 'Flap', jobNumber: 'J-2' }))!;
    const [solids, transfer] = [0.45 / (1 + 0.12 ** 2), 0.5 / (1 + 0.25 ** 2)];
    expect(two.ml).closeTo(0.32 / solids / transfer + 0.5, 1e-9);
    expect(two.ml).lessThan(2 * of(need())!.ml);
    expect(two.areas).length(2);
    // Of two areas one may be taken too large and the other too small: they are surer than one of their size.
    const large = of(need({ size: { value: 80, relativeSd: 0.2, way: 'drawing' } }))!;
    expect(two.ml).closeTo(large.ml, 1e-9);
    expect(two.upper90).lessThan(large.upper90);
  });

  it('counts what comes near the colour and is not on yet, and says what nobody measured', () => {
    expect(of(need({ coatsLeft: 0 }))).equal(null);
    expect(of(need({ colourHex: '#b0302a' }))).equal(null);
    expect(of()).equal(null);
    const near = of(need({ colourHex: '#4f657a' }), need({ size: null, partName: 'Base' }))!;
    expect(near.areas.map(({ partName }) => partName)).deep.equal(['Body']);
    expect(near.unsized.map(({ partName }) => partName)).deep.equal(['Base']);
    expect(of(need({ size: null }))).deep.include({ ml: 0, upper90: 0 });
  });

  it('of two ways of putting on is the sum of both', () => {
    const both = of(need(), need({ way: 'can' }))!;
    expect(both.ml).closeTo(of(need())!.ml + of(need({ way: 'can' }))!.ml, 1e-9);
  });
});
