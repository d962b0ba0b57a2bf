import { expect } from 'chai';
import {
  IDEAL_BENCH,
  NEED,
  ROUGH_BENCH,
  chooseRecipe,
  simulateMixing,
  type MixingBench,
} from '../../../test/support/simulatedMixing.ts';
import { createSimulatedShelf, createTarget } from '../../../test/support/simulatedShelf.ts';
import { createSeededRandom } from '../../numeric/seededRandom.ts';
import { computeLab } from '../colorimetry.ts';
import { computeDe00 } from '../difference.ts';
import { predictMix, USUAL_SURFACE } from '../kubelkaMunk.ts';
import { buildComboTable } from '../match/comboTable.ts';
import type { MatchTarget } from '../match/polish.ts';
import { estimateStrengths, STRENGTH_SD } from './estimateStrengths.ts';
import { FIRST_SHARE, guideMix, startMix } from './guideMix.ts';
import { measureByEye, readStep, STEPS } from './judgeByEye.ts';
import { planAddition } from './planAddition.ts';

const shelf = createSimulatedShelf(4, 18);
const ids = [0, 2, 3];
const paints = ids.map((id) => shelf.paints[id]!);
const SD = [0.05, 0.05, 0.05] as const;
const labOf = (volumes: readonly number[], factors: readonly number[]) =>
  computeLab(
    predictMix(
      paints,
      volumes.map((one, i) => one * factors[i]!),
    ),
  );
const targetOf = (volumes: readonly number[]): MatchTarget => ({
  d65: labOf(volumes, [1, 1, 1]),
  a: computeLab(predictMix(paints, volumes), 'A'),
  weightA: 0.3,
});
const certain = {
  factors: [1, 1, 1],
  covariance: ids.map((_, p) => ids.map((__, q) => (p === q ? STRENGTH_SD ** 2 : 0))),
  bias: [0, 0, 0] as const,
};

describe('learning strengths', () => {
  it('finds how the strengths stand to each other from what patches look like', () => {
    const truth = [1, 1.25, 0.85];
    const patches = [
      [1, 0.1, 0.1],
      [1, 0.3, 0.1],
      [1, 0.3, 0.5],
    ].map((volumes) => ({ volumes, lab: labOf(volumes, truth), sd: SD }));
    const { factors } = estimateStrengths(shelf, ids, patches, USUAL_SURFACE);
    expect(factors[1]! / factors[0]!).closeTo(1.25, 0.06);
    expect(factors[2]! / factors[0]!).closeTo(0.85, 0.06);
  });

  it('keeps to the label where nothing was measured, and is less unsure with every patch', () => {
    const none = estimateStrengths(shelf, ids, [], USUAL_SURFACE);
    expect(none.factors).deep.equal([1, 1, 1]);
    expect(none.covariance[0]![0]).closeTo(STRENGTH_SD ** 2, 1e-12);
    const volumes = [1, 0.2, 0.2];
    const one = estimateStrengths(shelf, ids, [{ volumes, lab: labOf(volumes, [1, 1, 1]), sd: SD }], USUAL_SURFACE);
    for (let i = 0; i < 3; i++) expect(one.covariance[i]![i]!).lessThan(none.covariance[i]![i]!);
  });

  it('takes a difference that no strength explains for a fault of the model', () => {
    const volumes = [1, 0.2, 0.2];
    const [l, a, b] = labOf(volumes, [1, 1, 1]);
    const { bias, factors } = estimateStrengths(shelf, ids, [{ volumes, lab: [l, a, b + 0.6], sd: SD }], USUAL_SURFACE);
    const left = labOf(volumes, factors).map((one, i) => one + bias[i]!);
    expect(computeDe00(left as unknown as [number, number, number], [l, a, b + 0.6])).lessThan(0.1);
  });
});

describe('the next addition', () => {
  const limits = { needMl: 2, doseMl: 0.01, tolerance: 1 };

  it('adds and never takes out, in whole doses, and meets the colour at the volume that is needed', () => {
    const target = targetOf([1, 0.2, 0.15]);
    for (const volumes of [
      [1, 0.1, 0.1],
      [0.9, 0.3, 0.05],
      [1.2, 0.05, 0.2],
    ]) {
      const { doses, de, totalMl } = planAddition(shelf, { ids, volumes }, certain, target, USUAL_SURFACE, limits);
      for (const one of doses) expect(Number.isInteger(one) && one >= 0).equal(true);
      expect(totalMl).within(2 - 1e-9, 2.4 + 1e-9);
      const after = volumes.map((one, i) => one + doses[i]! * limits.doseMl);
      expect(computeDe00(labOf(after, [1, 1, 1]), target.d65)).closeTo(de, 1e-9);
      expect(de).lessThan(0.5);
    }
  });

  it('says so when a colour is beyond what may be added', () => {
    const target = targetOf([1, 0.02, 0.02]);
    const { isBeyond, totalMl } = planAddition(
      shelf,
      { ids, volumes: [0.5, 1.4, 0.1] },
      certain,
      target,
      USUAL_SURFACE,
      limits,
    );
    expect(isBeyond).equal(true);
    expect(totalMl).at.most(2.4 + 1e-9);
  });

  it('starts on less than the need, with every paint of the recipe in it', () => {
    const doses = startMix([0.9, 0.099, 0.001], NEED);
    expect(doses.reduce((sum, one) => sum + one, 0)).closeTo((FIRST_SHARE * 2) / 0.01, 2);
    expect(Math.min(...doses)).equal(1);
  });

  it('stops at a mix that is there, not before there is enough of it', () => {
    const target = targetOf([1, 0.2, 0.15]);
    const patch = (volumes: readonly number[]) => ({ volumes, lab: labOf(volumes, [1, 1, 1]), sd: SD });
    const advise = (volumes: readonly number[]) =>
      guideMix(shelf, { ids, volumes }, [patch(volumes)], target, USUAL_SURFACE, limits);
    expect(advise([1.5, 0.3, 0.225]).kind).equal('stop');
    expect(advise([0.9, 0.18, 0.135]).kind).equal('add');
  });
});

describe('judging by eye', () => {
  it('reads a difference in four steps and both ways', () => {
    expect([0.2, 1, 3, 9].map((one) => readStep(one).step)).deep.equal([...STEPS]);
    expect(readStep(-3)).deep.equal({ step: 'clear', way: -1 });
  });

  it('becomes a measurement whose spread grows with the step and with being unsure', () => {
    const word = (difference: number) => readStep(difference);
    const judgement = { lightness: word(3), redGreen: word(0), yellowBlue: word(-1) };
    const sure = measureByEye([50, 10, 10], judgement);
    expect(sure.lab).deep.equal([53, 10, 8.8]);
    expect(sure.sd[0]).greaterThan(sure.sd[2]);
    expect(measureByEye([50, 10, 10], judgement, 1).sd[0]).closeTo(3 * sure.sd[0], 1e-9);
  });
});

describe('guided mixing on a simulated bench (20 colours each)', () => {
  const table = buildComboTable(createSimulatedShelf(1, 24), USUAL_SURFACE)!;
  const random = createSeededRandom(3);
  const begun = Array.from({ length: 20 }, () => {
    const target = createTarget(table.shelf, random);
    return { target, recipe: chooseRecipe(table, target) };
  });
  const run = (bench: MixingBench) =>
    begun.map(({ target, recipe }, i) => simulateMixing(table.shelf, target, recipe, bench, i + 1));
  const reached = (results: ReturnType<typeof run>, patch: number, de: number) =>
    results.filter(({ deByPatch }) => deByPatch[Math.min(patch, deByPatch.length) - 1]! <= de).length;

  it('gets there by the second patch with an instrument, wasting nothing', () => {
    const results = run(IDEAL_BENCH);
    expect(reached(results, 2, 1)).at.least(19);
    expect(Math.max(...results.map((one) => one.finalMl))).at.most(2.2);
    expect(results.some((one) => one.isFalseStop)).equal(false);
  });

  it('gets there on a rough bench by the third, and by words to 2', () => {
    expect(reached(run(ROUGH_BENCH), 3, 1)).at.least(17);
    expect(reached(run({ ...IDEAL_BENCH, isByWords: true }), 3, 2)).at.least(19);
  });

  it('does better than without learning', () =>
    expect(reached(run(IDEAL_BENCH), 3, 1)).greaterThan(reached(run({ ...IDEAL_BENCH, learns: false }), 3, 1)));
});
