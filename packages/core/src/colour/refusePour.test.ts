import { expect } from 'chai';
import type { PaintProduct } from '../model/work.ts';
import { refusePour } from './refusePour.ts';

const paint = (id: string, own: Partial<PaintProduct> = {}) =>
  ({
    id,
    line: 'Line',
    name: id,
    kind: 'colour',
    binder: 'enamel',
    colourHex: '#808080',
    optics: null,
    ...own,
  }) as PaintProduct;

describe('what may be poured into a mix', () => {
  const codeOf = (product: PaintProduct, inMix: readonly PaintProduct[], ml = 0.1, leftMl = 5) =>
    refusePour(product, inMix, ml, leftMl)?.code ?? null;

  it('is a colour of the same binder of which there is enough', () => {
    expect(codeOf(paint('a'), [])).equal(null);
    expect(codeOf(paint('a'), [paint('b')])).equal(null);
    expect(codeOf(paint('a'), [], 5)).equal(null);
  });

  it('is never powder, a primer, another binder, more than there is, or a ninth pot', () => {
    expect(codeOf(paint('a', { binder: 'powder' }), [])).equal('outside');
    expect(codeOf(paint('a', { kind: 'primer' }), [])).equal('outside');
    expect(codeOf(paint('a', { binder: 'lacquer' }), [paint('b')])).equal('binder');
    expect(codeOf(paint('a'), [], 5.01)).equal('not-enough');
    const eight = Array.from({ length: 8 }, (_, i) => paint(`p${i}`));
    expect(codeOf(paint('a'), eight)).equal('too-many');
    expect(codeOf(paint('p3'), eight)).equal(null);
    expect(codeOf(paint('a'), eight.slice(1))).equal(null);
  });

  it('says which two do not mix, and how much there is', () => {
    expect(refusePour(paint('Ice', { binder: 'lacquer' }), [paint('b')], 1, 5)!.message).match(/lacquer.*enamel/);
    expect(refusePour(paint('Ice'), [], 1, 0.25)!).deep.include({ hint: 'At most 0.25 ml.' });
  });
});
