import { expect } from 'chai';
import { drawGround, drawPaint, layUntilHidden } from '../../test/support/layCoats.ts';
import type { PaintProduct } from '../model/work.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { completeProduct } from './completeProduct.ts';
import { countCoats } from './countCoats.ts';

const product = (changes: Partial<PaintProduct> = {}): PaintProduct => ({
  ...{ id: 'p', version: 1 },
  ...completeProduct({
    ...{ line: 'Marlstone', name: 'Cream', kind: 'colour', binder: 'enamel', gloss: 'gloss', colourHex: '#e6d9b4' },
    ...changes,
  }),
});
const flat = (reflectance: number) => new Float64Array(31).fill(reflectance);

describe('coats until the ground no longer shows', () => {
  it('are as many as the fluxes themselves say, coat on coat (40 random paints and grounds)', () => {
    const random = createSeededRandom(18);
    for (let i = 0; i < 40; i++) {
      const [paint, ground, um] = [drawPaint(random), drawGround(random), 8 + 20 * random()];
      const optics = { ...paint, basis: 'drawdowns' as const };
      const { coats, origin } = countCoats(product({ optics }), um, Float64Array.from(ground));
      const laid = layUntilHidden(paint, ground, () => um / 1000);
      expect(coats ?? Infinity).equal(laid <= 12 ? laid : Infinity);
      expect(origin).equal('K and S');
    }
  });

  it('are more over black than over white for a pale paint, more of a weak paint, fewer of a thick film', () => {
    const coatsOf = (s: number, um: number, ground: number) => {
      const optics = { k: Array.from(flat(0.6)), s: Array.from(flat(s)), basis: 'drawdowns' as const };
      return countCoats(product({ optics }), um, flat(ground)).coats!;
    };
    expect(coatsOf(80, 20, 0.05)).greaterThan(coatsOf(80, 20, 0.85));
    expect(coatsOf(40, 20, 0.05)).greaterThan(coatsOf(120, 20, 0.05));
    expect(coatsOf(80, 40, 0.05)).lessThan(coatsOf(80, 12, 0.05));
  });

  it('says what it rests on: one coat more where nobody drew a film down, one of clear, what is usual of metallics', () => {
    const known = countCoats(product({ optics: null }), 22, flat(0.4));
    expect(known.origin).equal('planning estimate');
    expect(known.coats).least(2);
    expect(countCoats(product({ kind: 'clear' }), 15, flat(0.4))).deep.equal({ coats: 1, origin: 'planning estimate' });
    expect(countCoats(product({ gloss: 'metallic' }), 12, flat(0.4)).coats).equal(2);
    expect(countCoats(product({ kind: 'brightwork', binder: 'ink' }), 4, flat(0.4)).coats).equal(1);
    const hopeless = { k: Array.from(flat(0.001)), s: Array.from(flat(0.5)), basis: 'drawdowns' as const };
    expect(countCoats(product({ optics: hopeless }), 15, flat(0.05)).coats).equal(null);
  });
});
