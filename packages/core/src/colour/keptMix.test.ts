import { expect } from 'chai';
import { completeProduct } from '../film/completeProduct.ts';
import type { MixStep } from '../model/colour.ts';
import type { PaintProduct } from '../model/work.ts';
import { computeKeptMix } from './computeKeptMix.ts';
import { computeDe00 } from './difference.ts';
import { convertHexToLab } from './display.ts';
import { replayMix } from './guide/replayMix.ts';
import { computePaintLab, createOpticsFromColour, selectOptics } from './paintOptics.ts';
import { selectLettingDownWhite } from './selectLettingDownWhite.ts';

const makePaint = (id: string, colourHex: string, more: Partial<PaintProduct> = {}): PaintProduct => ({
  ...completeProduct({ line: 'Own', name: id, kind: 'colour', binder: 'acrylic', gloss: 'gloss', colourHex, ...more }),
  ...{ id, version: 1 },
});
const measured = (id: string, l: number, more: Partial<PaintProduct> = {}) =>
  makePaint(id, '#808080', { optics: createOpticsFromColour([l, 0, 0], 'gloss left out'), ...more });

const makeStep = (id: string, body: MixStep['body']) => ({ id, body }) as MixStep;
const pour = (id: string, productId: string, ml: number) =>
  makeStep(id, { kind: 'pour', productId, ml, source: 'planned' } as unknown as MixStep['body']);

describe('a product of which little is known', () => {
  it('gets what its binder usually has, and keeps what was said', () => {
    const known = { line: 'Own', name: 'Red', kind: 'colour', gloss: 'gloss', colourHex: '#aa2222' } as const;
    expect(completeProduct({ ...known, binder: 'enamel' })).deep.include({
      recoatMin: 1440,
      dropMl: 0.05,
      optics: null,
    });
    expect(completeProduct({ ...known, binder: 'lacquer' })).deep.include({ recoatMin: 60, dropMl: 0.025 });
    expect(completeProduct({ ...known, binder: 'enamel', recoatMin: 90 })).include({ recoatMin: 90, cureMin: 10080 });
  });
});

describe('the white that tints were let down in', () => {
  const tint = measured('tint', 40);
  it('is the lightest measured one of the same binder', () => {
    const shelf = [tint, measured('off', 90), measured('white', 95), measured('enamel', 99, { binder: 'enamel' })];
    expect(selectLettingDownWhite(tint, shelf, 'gloss left out')).equal(shelf[2]!.optics);
  });

  it('is none where nothing is pale enough, measured, or another pot', () => {
    expect(selectLettingDownWhite(tint, [tint, measured('grey', 86)], 'gloss left out')).equal(null);
    expect(selectLettingDownWhite(tint, [tint, makePaint('guessed', '#ffffff')], 'gloss left out')).equal(null);
    const pale = measured('pale', 96);
    expect(selectLettingDownWhite(pale, [pale], 'gloss left out')).equal(null);
  });
});

describe('a mix that is kept', () => {
  const red = makePaint('red', '#a02020', { densityGPerMl: 1, pricePerMl: 0.1, recoatMin: 60, minC: 12, maxC: 30 });
  const white = makePaint('white', '#f2f2ee', {
    ...{ gloss: 'matt', densityGPerMl: 1.4, pricePerMl: 0.5, recoatMin: 240, minC: 15, maxC: 25 },
  });
  const dried = convertHexToLab('#c06a66');
  const steps = [
    pour('1', 'red', 3),
    pour('2', 'white', 1),
    makeStep('3', { kind: 'patch', how: 'photograph', lab: dried, sd: 0.5 } as unknown as MixStep['body']),
  ];

  it('has means by volume, dries as its slowest paint and stands the weather of both', () => {
    const kept = computeKeptMix(replayMix(steps), [red, white], 'gloss left out');
    expect(kept).deep.include({ densityGPerMl: 1.1, pricePerMl: 0.2, recoatMin: 240, minC: 15, maxC: 25 });
    expect(kept.recipe).deep.equal([
      { productId: 'red', name: 'Own red', ml: 3 },
      { productId: 'white', name: 'Own white', ml: 1 },
    ]);
    expect(kept.gloss).equal('satin');
  });

  it('has the colour of its last patch where that was measured, of the model where only the eye judged', () => {
    const kept = computeKeptMix(replayMix(steps), [red, white], 'gloss left out');
    expect(computeDe00(convertHexToLab(kept.colourHex), dried)).lessThan(0.5);
    const byEye = [...steps.slice(0, 2), makeStep('3', { ...steps[2]!.body, how: 'by eye' } as MixStep['body'])];
    const seen = computeKeptMix(replayMix(byEye), [red, white], 'gloss left out');
    const modelled = computePaintLab(selectOptics({ ...red, ...seen })!, 'gloss left out');
    expect(computeDe00(convertHexToLab(seen.colourHex), modelled)).lessThan(0.5);
  });

  it('is none before a patch has dried', () => {
    expect(() => computeKeptMix(replayMix(steps.slice(0, 2)), [red, white], 'gloss left out')).throw(RangeError);
  });
});
