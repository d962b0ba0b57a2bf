import { expect } from 'chai';
import { matchExhaustively } from '../../../test/support/exhaustiveMatch.ts';
import { createSimulatedShelf, createTarget } from '../../../test/support/simulatedShelf.ts';
import { createSeededRandom } from '../../numeric/seededRandom.ts';
import { computeLab } from '../colorimetry.ts';
import { predictMix, USUAL_SURFACE } from '../kubelkaMunk.ts';
import { chooseDoses, roundDoses } from './chooseDoses.ts';
import { buildComboTable, readShares, type ComboTable } from './comboTable.ts';
import { findMatch } from './findMatch.ts';
import { createMixRoom, evaluateMix, MOST_PAINTS } from './mixModel.ts';
import { scoreMix } from './polish.ts';
import { createShelf } from './shelfOptics.ts';

const small = createSimulatedShelf(4, 18);
const table = buildComboTable(small, USUAL_SURFACE)!;

describe('the model of a mix', () => {
  it('agrees with the plain one, and its slopes with small changes of each share', () => {
    const room = createMixRoom();
    const ids = [0, 3, 7];
    const shares = [1, 0.2, 0.05];
    evaluateMix(small, ids, shares, USUAL_SURFACE, room, true);
    const plain = (changed: readonly number[], light: 'D65' | 'A') =>
      computeLab(
        predictMix(
          ids.map((id) => small.paints[id]!),
          changed,
        ),
        light,
      );
    (['D65', 'A'] as const).forEach((light, l) => {
      plain(shares, light).forEach((one, c) => expect(room.lab[l]![c]).closeTo(one, 1e-9));
      ids.forEach((_, p) => {
        const more = plain(
          shares.map((one, i) => (i === p ? one * Math.exp(1e-5) : one)),
          light,
        );
        const less = plain(
          shares.map((one, i) => (i === p ? one * Math.exp(-1e-5) : one)),
          light,
        );
        more.forEach((one, c) => expect(room.slope[l]![c * MOST_PAINTS + p]).closeTo((one - less[c]!) / 2e-5, 1e-5));
      });
    });
  });
});

describe('the table of a shelf', () => {
  it('has every pair and triple once, with the colour of its shares', () => {
    const n = small.paints.length;
    expect(table.starts.length - 1).equal((n * (n - 1)) / 2 + (n * (n - 1) * (n - 2)) / 6);
    for (const combo of [0, 5, 100, 500]) {
      const ids = [...table.paints.subarray(3 * combo, 3 * combo + 3)].filter((id) => id >= 0);
      const lab = computeLab(
        predictMix(
          ids.map((id) => small.paints[id]!),
          readShares(table, combo, 2),
        ),
      );
      lab.forEach((one, c) => expect(table.labs[3 * (table.starts[combo]! + 2) + c]).closeTo(one, 1e-3));
    }
  });

  it('mixes no families that do not mix, and stops when it is told to', () => {
    const [a, b, c] = small.paints;
    const apart = createShelf([
      { ...a!, family: 'enamel' },
      { ...b!, family: 'acrylic' },
      { ...c!, family: '' },
    ]);
    expect(buildComboTable(apart, USUAL_SURFACE)!.starts.length - 1).equal(2);
    expect(buildComboTable(small, USUAL_SURFACE, () => false)).equal(null);
  });
});

describe('matching', () => {
  const random = createSeededRandom(11);
  const foreign = createSimulatedShelf(40, 18);

  it('finds what every combo polished one by one finds (12 targets of its own and of another shelf)', () => {
    for (let i = 0; i < 12; i++) {
      const target = createTarget(i % 2 ? foreign : small, random);
      const [best] = findMatch(table, target, { mostPaints: 3, count: 1 });
      expect(best!.objective, `target ${i}`).lessThan(matchExhaustively(table, target) + 0.01);
    }
  });

  it('is never worse with more paints, and names them once each', () => {
    for (let i = 0; i < 6; i++) {
      const target = createTarget(foreign, random);
      const of = (mostPaints: number) => findMatch(table, target, { mostPaints, count: 5 });
      const objectives = [1, 2, 3, 4, 5].map((most) => of(most)[0]!.objective);
      objectives.slice(1).forEach((one, k) => expect(one).at.most(objectives[k]! + 1e-9));
      for (const recipe of of(5)) {
        expect(new Set(recipe.ids).size).equal(recipe.ids.length);
        expect(recipe.shares.reduce((sum, one) => sum + one, 0)).closeTo(1, 1e-9);
      }
    }
  });

  it('gives back a paint of the shelf itself', () => {
    const spectrum = predictMix([small.paints[5]!], [1]);
    const target = { d65: computeLab(spectrum), a: computeLab(spectrum, 'A'), weightA: 0.3 };
    expect(findMatch(table, target, { mostPaints: 3, count: 1 })[0]!.objective).lessThan(1e-6);
  });
});

describe('whole doses', () => {
  const random = createSeededRandom(21);
  const limits = { total: 60, doseMl: 0.05 };

  function dose(own: ComboTable, i: number) {
    const target = createTarget(small, random);
    const recipes = findMatch(own, target, { mostPaints: 4, count: 100 });
    return { target, recipes, dosed: chooseDoses(small, recipes, target, USUAL_SURFACE, limits)!, i };
  }

  it('sum to the batch, and are no worse than rounding the best recipe (10 targets)', () => {
    for (let i = 0; i < 10; i++) {
      const { target, recipes, dosed } = dose(table, i);
      expect(dosed.doses.reduce((sum, one) => sum + one, 0)).equal(60);
      const naive = scoreMix(small, recipes[0]!.ids, roundDoses(recipes[0]!.shares, 60), target, USUAL_SURFACE);
      expect(dosed.objective + 0.01 * dosed.sensitivity, `target ${i}`).at.most(naive.objective + 0.2);
    }
  });

  it('ask of no pot more than it holds', () => {
    const { target, recipes } = dose(table, 0);
    const dry = createShelf(
      small.paints.map((paint, id) => (id === recipes[0]!.ids[0] ? { ...paint, leftMl: 0 } : paint)),
    );
    const dosed = chooseDoses(dry, recipes, target, USUAL_SURFACE, limits);
    expect(dosed === null || !dosed.ids.includes(recipes[0]!.ids[0]!)).equal(true);
  });

  it('round to the batch exactly', () => {
    expect(roundDoses([0.5, 0.333, 0.167], 60)).deep.equal([30, 20, 10]);
    expect(roundDoses([1 / 3, 1 / 3, 1 / 3], 10).reduce((sum, one) => sum + one, 0)).equal(10);
  });
});
