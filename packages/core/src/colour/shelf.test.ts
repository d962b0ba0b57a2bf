import { expect } from 'chai';
import type { PaintPot, PaintProduct } from '../model/work.ts';
import { computeDropMl } from './computeDropMl.ts';
import { describeDifference, describeFade } from './describeDifference.ts';
import { computeDe00 } from './difference.ts';
import { convertHexToLab, convertLabToHex, convertLabToRgb } from './display.ts';
import { estimateGloss } from './glossOfMix.ts';
import { predictMix } from './kubelkaMunk.ts';
import {
  computePaintLab,
  createMixedOptics,
  createOpticsFromColour,
  createShelfPaints,
  selectOptics,
} from './paintOptics.ts';
import { rankPots } from './rankPots.ts';

const product = (name: string, colourHex: string, more: Partial<PaintProduct> = {}): PaintProduct => ({
  ...{ id: name, version: 1, line: 'Test', name, kind: 'colour', binder: 'enamel', gloss: 'gloss', colourHex },
  ...{ dryFilmUm: 20, flashMin: 5, recoatMin: 60, cureMin: 600, minC: 10, maxC: 30 },
  ...{ optics: null, densityGPerMl: 1.1, dropMl: 0.05, pricePerMl: 0.2, drying: null, recipe: null },
  ...more,
});
const pot = (productId: string, leftMl: number): PaintPot => ({
  ...{ id: `${productId}.${leftMl}`, version: 1, productId, leftMl, openedOn: null, place: '' },
});

describe('colours on a screen', () => {
  it('come back from their hex, and greys are without hue', () => {
    for (const hex of ['#4d6378', '#ffffff', '#000000', '#c08a2c', '#2a3d86'])
      expect(convertLabToHex(convertHexToLab(hex))).equal(hex);
    const [l, a, b] = convertHexToLab('#808080');
    expect(Math.hypot(a, b)).lessThan(1e-3);
    expect(l).closeTo(53.59, 0.05);
  });

  it('say when a screen cannot show them', () => {
    expect(convertLabToRgb([50, 20, 10]).isShown).equal(true);
    const beyond = convertLabToRgb([50, -90, 60]);
    expect(beyond.isShown).equal(false);
    expect(Math.min(...beyond.rgb)).at.least(0);
  });

  it('are refused when they are no colour', () => {
    expect(() => convertHexToLab('slate')).throw('not a colour like #4d6378');
  });
});

describe('what is known of a pot', () => {
  it('is its colour where nothing was drawn down: the film looks like it', () => {
    for (const hex of ['#4d6378', '#c9b07c', '#7a3b2c']) {
      const optics = createOpticsFromColour(convertHexToLab(hex), 'gloss left out');
      expect(optics.basis).equal('colour only');
      expect(computeDe00(computePaintLab(optics, 'gloss left out'), convertHexToLab(hex))).lessThan(0.05);
      // The gloss of an instrument that sees it makes the same film paler.
      expect(computePaintLab(optics, 'gloss included')[0]).greaterThan(computePaintLab(optics, 'gloss left out')[0]);
    }
  });

  it('is nothing for flakes, pearl, candy and fluorescence, and those are no part of a mix', () => {
    for (const gloss of ['metallic', 'pearl', 'candy', 'fluorescent'] as const) {
      expect(selectOptics(product('x', '#a8aaab', { gloss }))).equal(null);
      expect(createShelfPaints([product('x', '#a8aaab', { gloss })], [pot('x', 9)])).deep.equal([]);
    }
  });

  it('stands once for all its pots, and not at all when they are empty, unless it is in the mix already', () => {
    const list = [
      product('red', '#b0302a'),
      product('blue', '#2f5d86'),
      product('grey powder', '#888888', { binder: 'powder' }),
    ];
    const pots = [pot('red', 3), pot('red', 4), pot('blue', 0), pot('grey powder', 50)];
    expect(createShelfPaints(list, pots).map(({ id, leftMl, family }) => [id, leftMl, family])).deep.equal([
      ['red', 7, 'enamel'],
    ]);
    expect(createShelfPaints(list, pots, ['blue']).map((one) => one.id)).deep.equal(['red', 'blue']);
  });

  it('of a finished mix is what was in it, with the strengths that were learned', () => {
    const [white, blue] = ['#f1f0ea', '#2a3d86'].map((hex) =>
      createOpticsFromColour(convertHexToLab(hex), 'gloss left out'),
    );
    const mixed = createMixedOptics([white!, blue!], [3, 1], [1, 1.2]);
    expect(mixed.basis).equal('mixed here');
    const own = predictMix([mixed], [1]);
    const parts = predictMix([white!, blue!], [3, 1.2]);
    own.forEach((one, i) => expect(one).closeTo(parts[i]!, 1e-12));
  });
});

describe('the nearest pots', () => {
  const list = [
    product('near', '#50667a'),
    product('far', '#b0302a'),
    product('pearl', '#4d6378', { gloss: 'pearl' }),
    product('clear', '#ffffff', { kind: 'clear' }),
  ];
  const ranked = rankPots(list, convertHexToLab('#4d6378'), 'gloss left out');

  it('come first, say in words how they differ, and clear coats are not among them', () => {
    expect(ranked.map((one) => one.product.name)).deep.equal(['near', 'far', 'pearl']);
    expect(ranked[0]!.de).lessThan(2);
    expect(ranked[1]!.words).include('redder');
  });

  it('get no number where it would be false', () => {
    expect(ranked[2]).deep.include({ de: null, lab: null, words: '' });
  });
});

describe('differences in words', () => {
  it('name every way that shows, and none that does not', () => {
    expect(describeDifference([50, 0, 0], [50.3, 0.2, -0.2])).equal('');
    expect(describeDifference([53, -1, 9], [50, 0, 0])).equal('lighter, slightly greener, much yellower');
  });

  it('say what light did to the exposed place', () => {
    const { de, words } = describeFade([41, -3, -14], [46, -2.5, -11.5]);
    expect(words).equal('much lighter, clearly yellower'.replace('clearly ', ''));
    expect(de).within(3, 7);
  });
});

describe('sheen of a mix', () => {
  it('of one paint is its own, and a matt one takes more than its share', () => {
    expect(estimateGloss([{ finish: 'matt', ml: 2 }]).word).equal('matt');
    const half = estimateGloss([
      { finish: 'gloss', ml: 1 },
      { finish: 'matt', ml: 1 },
    ]);
    expect(half.units).lessThan((85 + 8) / 2);
    expect(half.word).equal('satin');
    expect(half.sd).greaterThan(0);
  });

  it('of an empty cup is that of paint without a matting agent', () => {
    expect(estimateGloss([]).word).equal('gloss');
  });
});

describe('a drop', () => {
  it('is what twenty of them weigh, by the density', () => {
    expect(computeDropMl(1.12, 20, 1.12)).closeTo(0.05, 1e-12);
    for (const grams of [0, NaN, 0.01, 900]) expect(computeDropMl(grams, 20, 1)).equal(null);
  });
});
