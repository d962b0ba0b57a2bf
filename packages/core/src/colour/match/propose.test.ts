import { expect } from 'chai';
import { doseExhaustively } from '../../../test/support/exhaustiveDoses.ts';
import { createPoorShelf, POOR_LIMITS } from '../../../test/support/poorShelves.ts';
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
import { chooseDoses } from './chooseDoses.ts';
import { findMatch } from './findMatch.ts';
import { findShortage } from './findShortage.ts';
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
      expect(best!.kind).equal('nearest');
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

describe('a poor shelf', () => {
  it('still gives the best that is there: nine pots of 0.9 ml for two, and sixty random ones (seeds 1 to 60)', () => {
    const nine = createSimulatedShelf(31, 9);
    const worlds = [
      {
        shelf: { ...nine, paints: nine.paints.map((one) => ({ ...one, leftMl: 0.9 })) },
        target: createTarget(nine, createSeededRandom(7)),
      },
      ...Array.from({ length: 60 }, (_, i) => createPoorShelf(i + 1)),
    ];
    let empty = 0;
    worlds.forEach(({ shelf: own, target }, i) => {
      const best = doseExhaustively(own, target, POOR_LIMITS.total, POOR_LIMITS.doseMl);
      const recipes = findMatch(buildComboTable(own, USUAL_SURFACE)!, target, {
        ...{ mostPaints: 3, count: 100, limits: POOR_LIMITS },
      });
      const found = chooseDoses(own, recipes, target, USUAL_SURFACE, POOR_LIMITS);
      expect(found === null, `world ${i}`).equal(best === Infinity);
      const shortage = findShortage(own.paints, 2, 3);
      expect(shortage !== null, `world ${i}`).equal(best === Infinity);
      if (!found) return void empty++;
      expect(found.objective, `world ${i}`).at.most(best + 0.1);
      found.ids.forEach((id, p) => expect(found.doses[p]! * 0.05).at.most(own.paints[id]!.leftMl + 1e-9));
    });
    expect(empty).within(1, 20);
  });

  it('finds four and five paints where three hold too little, on a long shelf too', () => {
    const poor = buildComboTable(
      { ...priced, paints: priced.paints.map((one) => ({ ...one, leftMl: 0.45 })) },
      USUAL_SURFACE,
    )!;
    const target = createTarget(priced, createSeededRandom(4));
    expect(findMatch(poor, target, { mostPaints: 4, count: 9, limits: LIMITS })).deep.equal([]);
    const found = findMatch(poor, target, { mostPaints: 5, count: 9, limits: LIMITS });
    expect(found.length).greaterThan(0);
    for (const { ids, shares } of found) {
      expect(ids.length).equal(5);
      expect(Math.max(...shares)).at.most(9 / 40 + 1e-6);
    }
    expect(findShortage(poor.shelf.paints, 2, 4)).deep.equal({ mostMl: 1.8, potsThatDo: 5 });
    expect(findShortage(poor.shelf.paints, 2, 5)).equal(null);
  });

  it('counts only pots that mix with each other, and says when all of them are too little', () => {
    const paints = priced.paints.map((one, i) => ({ ...one, leftMl: 0.5, family: i % 2 ? 'enamel' : 'acrylic' }));
    expect(findShortage(paints.slice(0, 5), 2, 5)).deep.equal({ mostMl: 1.5, potsThatDo: null });
    expect(
      findShortage(
        priced.paints.map((one) => ({ ...one, leftMl: 0.35, family: '' })),
        2,
        3,
      ),
    ).deep.equal({
      ...{ mostMl: 0.35 + 0.35 + 0.35, potsThatDo: null },
    });
    expect(findShortage([], 2, 5)).deep.equal({ mostMl: 0, potsThatDo: null });
  });

  it('says of a colour that no mix reaches that it is out of reach', () => {
    const greys = createSimulatedShelf(9, 22);
    const few = buildComboTable({ ...greys, paints: greys.paints.slice(0, 2) }, USUAL_SURFACE)!;
    const [white, black] = [0, 1].map((id) => greys.paints[id]!);
    const grey = computeLab(predictMix([white!, black!], [1, 0.05]));
    const ask = (d65: readonly [number, number, number]) =>
      proposeRecipes(few, { d65, a: d65, weightA: 0 }, { total: 400, doseMl: 0.005, mostPaints: 3 }, new Set())[0]!;
    expect(ask(grey).isReached).equal(true);
    expect(ask([grey[0], grey[1] + 30, grey[2]]).isReached).equal(false);
  });
});

describe('a colour over the primers of the shelf', () => {
  const primer = (name: string, colourHex: string): PaintProduct => ({
    ...{ id: name, version: 1, line: 'T', name, kind: 'primer', binder: 'lacquer', gloss: 'matt', colourHex },
    ...{ dryFilmUm: 14, flashMin: 5, recoatMin: 30, cureMin: 240, minC: 12, maxC: 28 },
    ...{ optics: null, densityGPerMl: 1, dropMl: 0.03, pricePerMl: 0.2, drying: null, recipe: null },
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
