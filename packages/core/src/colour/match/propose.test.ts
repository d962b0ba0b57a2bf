import { expect } from 'chai';
import { createSimulatedShelf, createTarget } from '../../../test/support/simulatedShelf.ts';
import { createSeededRandom } from '../../numeric/seededRandom.ts';
import type { PaintProduct } from '../../model/work.ts';
import { coverGrounds } from '../coverGrounds.ts';
import { computeDe00 } from '../difference.ts';
import { computeLab } from '../colorimetry.ts';
import { predictMix, USUAL_SURFACE } from '../kubelkaMunk.ts';
import { createOpticsFromColour } from '../paintOptics.ts';
import { convertHexToLab } from '../display.ts';
import { buildComboTable } from './comboTable.ts';
import { proposeRecipes } from './proposeRecipes.ts';

const shelf = createSimulatedShelf(9, 22);
const priced = { ...shelf, paints: shelf.paints.map((one, i) => ({ ...one, pricePerMl: 0.1 + 0.1 * (i % 5) })) };
const table = buildComboTable(priced, USUAL_SURFACE)!;
const LIMITS = { total: 40, doseMl: 0.05, mostPaints: 4 };

describe('what is worth choosing', () => {
  const random = createSeededRandom(2);
  const targets = Array.from({ length: 6 }, () => createTarget(priced, random));
  const leftovers = new Set(['p5', 'p9', 'p14']);

  it('is the best first; every other is really what it says, within its stock and in whole doses (seed 2)', () => {
    for (const target of targets) {
      const proposals = proposeRecipes(table, target, LIMITS, leftovers);
      const [best] = proposals;
      expect(best!.kind).equal('best');
      for (const { kind, lines, de65, cost, lab } of proposals) {
        expect(lines.reduce((sum, one) => sum + one.doses, 0)).equal(LIMITS.total);
        expect(computeDe00(lab, target.d65)).closeTo(de65, 1e-9);
        if (kind === 'fewer paints') expect(lines.length).lessThan(best!.lines.length);
        if (kind === 'cheaper') expect(cost).lessThan(0.9 * best!.cost);
        if (kind === 'leftovers only') for (const { productId } of lines) expect(leftovers.has(productId)).equal(true);
        if (kind === 'from the nearest pot') {
          const off = priced.paints.map((paint) => computeDe00(target.d65, computeLab(predictMix([paint], [1]))));
          expect(lines[0]!.productId).equal(priced.paints[off.indexOf(Math.min(...off))]!.id);
        }
      }
      const kinds = proposals.map((one) => one.kind);
      expect(new Set(kinds).size).equal(kinds.length);
    }
  });

  it('is nothing when no pot holds enough', () => {
    const empty = buildComboTable(
      { ...priced, paints: priced.paints.map((one) => ({ ...one, leftMl: 0.01 })) },
      USUAL_SURFACE,
    )!;
    expect(proposeRecipes(empty, targets[0]!, LIMITS, leftovers)).deep.equal([]);
  });
});

describe('a colour over the primers of the shelf', () => {
  const primer = (name: string, colourHex: string): PaintProduct => ({
    ...{ id: name, version: 1, line: 'T', name, kind: 'primer', binder: 'lacquer', gloss: 'matt', colourHex },
    ...{ dryFilmUm: 14, flashMin: 5, recoatMin: 30, cureMin: 240, minC: 12, maxC: 28 },
    ...{ optics: null, densityGPerMl: 1, dropMl: 0.03, pricePerMl: 0.2, recipe: null },
  });
  const primers = [primer('white', '#ecebe7'), primer('oxide', '#7d4334'), primer('grey', '#8b8d8d')];
  const over = (hex: string) =>
    coverGrounds(createOpticsFromColour(convertHexToLab(hex), 'gloss left out'), 20, primers, 'gloss left out');

  it('takes fewest coats over the one most like it, which comes first', () => {
    const pale = over('#e6d9b4');
    expect(pale[0]!.product.name).equal('white');
    expect(pale[0]!.coats!).lessThan(pale.at(-1)!.coats ?? 99);
    expect(pale[0]!.afterOneDe).lessThan(pale.at(-1)!.afterOneDe);
  });

  it('looks after one coat like something between the primer and the paint', () => {
    for (const { groundLab, afterOneLab, product } of over('#e6d9b4')) {
      const [low, high] = [Math.min(groundLab[0], 87), Math.max(groundLab[0], 87)];
      expect(afterOneLab[0], product.name).within(low - 1, high + 1);
    }
  });
});
