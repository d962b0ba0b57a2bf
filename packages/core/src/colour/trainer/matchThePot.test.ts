import { expect } from 'chai';
import { createSimulatedShelf } from '../../../test/support/simulatedShelf.ts';
import { computeDe00 } from '../difference.ts';
import { USUAL_SURFACE } from '../kubelkaMunk.ts';
import { createTrainerRound, lookAtMix, scoreRound, solveRound } from './matchThePot.ts';

const shelf = createSimulatedShelf(6, 16);
const LIMITS = { needMl: 2, doseMl: 0.01, tolerance: 1 };

describe('match the pot', () => {
  it('is the same round for the same seed, another one for another', () => {
    expect(createTrainerRound(shelf, USUAL_SURFACE, 3)).deep.equal(createTrainerRound(shelf, USUAL_SURFACE, 3));
    expect(createTrainerRound(shelf, USUAL_SURFACE, 4).target).not.deep.equal(
      createTrainerRound(shelf, USUAL_SURFACE, 3).target,
    );
  });

  it('asks only for colours that its open pots can make', () => {
    const twoFamilies = {
      ...shelf,
      paints: shelf.paints.map((one, i) => ({ ...one, family: i % 2 ? 'enamel' : 'acrylic' })),
    };
    for (let seed = 1; seed <= 20; seed++) {
      const { hiddenIds, openIds } = createTrainerRound(twoFamilies, USUAL_SURFACE, seed);
      expect(openIds).include.members([...hiddenIds]);
      expect(new Set(openIds.map((id) => twoFamilies.paints[id]!.family)).size).equal(1);
      expect(new Set(hiddenIds).size).equal(hiddenIds.length);
    }
  });

  it('is solved from the open pots alone, and what its steps name is on the whole shelf (seeds 1 to 5)', () => {
    const mixed = {
      ...shelf,
      paints: shelf.paints.map((one, i) => ({ ...one, family: i % 2 ? 'enamel' : 'acrylic' })),
    };
    for (let seed = 1; seed <= 5; seed++) {
      const round = createTrainerRound(mixed, USUAL_SURFACE, seed);
      const steps = solveRound(mixed, USUAL_SURFACE, round, LIMITS, seed);
      expect(steps.length).greaterThan(0);
      for (const { volumes, lab } of steps) {
        expect(round.openIds).include.members(volumes.map((one) => one.id));
        expect(computeDe00(lookAtMix(mixed, USUAL_SURFACE, round, volumes)!, lab)).lessThan(1e-9);
      }
    }
  });

  it('shows what the pots make at their own strength, and nothing while the cup is empty', () => {
    const round = createTrainerRound(shelf, USUAL_SURFACE, 5);
    expect(lookAtMix(shelf, USUAL_SURFACE, round, [{ id: 0, ml: 0 }])).equal(null);
    const mixed = lookAtMix(shelf, USUAL_SURFACE, round, [
      { id: 0, ml: 1 },
      { id: 3, ml: 1 },
    ])!;
    const believed = lookAtMix(shelf, USUAL_SURFACE, { ...round, factors: round.factors.map(() => 1) }, [
      { id: 0, ml: 1 },
      { id: 3, ml: 1 },
    ])!;
    expect(computeDe00(mixed, believed)).greaterThan(0.05);
  });

  it('scores full for the first patch, less for every way of wasting', () => {
    expect(scoreRound(0.8, 1, 2, 2).points).equal(100);
    expect(scoreRound(3, 1, 2, 2).points).equal(76);
    expect(scoreRound(0.8, 4, 2, 2).points).equal(82);
    expect(scoreRound(0.8, 1, 4, 2)).deep.include({ points: 70, wastedMl: 2 });
    expect(scoreRound(0.8, 1, 1, 2)).deep.include({ points: 85, wastedMl: 0 });
    expect(scoreRound(40, 9, 20, 2).points).equal(0);
  });

  it('is solved by guided mixing within three patches (seeds 1 to 6)', () => {
    for (let seed = 1; seed <= 6; seed++) {
      const steps = solveRound(shelf, USUAL_SURFACE, createTrainerRound(shelf, USUAL_SURFACE, seed), LIMITS, seed);
      expect(steps.length).within(1, 3);
      expect(steps.at(-1)!.de).lessThan(1);
      const volumes = steps.map((step) => step.volumes.reduce((sum, one) => sum + one.ml, 0));
      expect(volumes).deep.equal([...volumes].sort((a, b) => a - b));
    }
  });
});
