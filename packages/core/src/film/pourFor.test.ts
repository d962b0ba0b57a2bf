import { expect } from 'chai';
import { pourFor } from './pourFor.ts';

const enamel = { binder: 'enamel' as const, dryFilmUm: 20, densityGPerMl: 1.1, dropMl: 0.05 };
const area = { value: 45, relativeSd: 0.2 };

describe('what to pour for an area', () => {
  it('is film over solids and transfer, and the cup that is left each time (by hand)', () => {
    const { ml, unit, upper90, drops } = pourFor(area, enamel, 2, 'airbrush');
    // 45 cm2 * 2 * 20 um = 0.18 ml dry; / (0.45 * 0.5) = 0.8 ml; the spread of what it is divided by lifts the mean by 8 %.
    const laid = 0.8 * (1 + 0.12 ** 2) * (1 + 0.25 ** 2);
    // Two cups of which half a millilitre stays, half of it thinner.
    expect(ml).closeTo(laid + 0.5, 1e-9);
    expect(unit).equal('ml');
    expect(upper90).greaterThan(ml);
    expect(drops).equal(Math.ceil(upper90 / 0.05));
  });

  it('is less by brush than by airbrush, and by airbrush than out of a can', () => {
    const of = (way: 'brush' | 'airbrush' | 'can') => pourFor({ ...area, value: 200 }, enamel, 2, way).ml;
    expect(of('brush')).lessThan(of('airbrush'));
    expect(of('airbrush')).lessThan(of('can'));
  });

  it('of powder is weighed: area, film and density over what stays on at the first pass', () => {
    const powder = { binder: 'powder' as const, dryFilmUm: 65, densityGPerMl: 1.5, dropMl: 0.05 };
    const { ml, unit, drops } = pourFor(area, powder, 1, 'powder');
    expect(ml).closeTo(((45 * 65e-4 * 1e2) / 100 / 0.45) * (1 + 0.25 ** 2) * 1.5, 1e-6);
    expect([unit, drops]).deep.equal(['g', null]);
  });
});
