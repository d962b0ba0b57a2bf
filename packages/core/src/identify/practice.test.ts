import { expect } from 'chai';
import { createSimulatedCatalogue } from '../../test/support/simulatedCatalogue.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { createPracticeRound, findLookPath, isVisiblyAltered, scorePractice } from './practice.ts';

const catalogue = createSimulatedCatalogue(31, { variants: 9 });

describe('practice', () => {
  it('draws the same specimen from the same seed, always one of the catalogue', () => {
    const draw = () => createPracticeRound(catalogue, createSeededRandom(5));
    expect(draw()).deep.equal(draw());
    for (let seed = 0; seed < 40; seed++)
      expect(createPracticeRound(catalogue, createSeededRandom(seed)).specimen.variant).not.equal(null);
  });

  it("gives full marks for the truth along the tool's own path, where the path found it", () => {
    let settled = 0;
    for (let seed = 0; seed < 25; seed++) {
      const round = createPracticeRound(catalogue, createSeededRandom(seed));
      const tool = findLookPath(catalogue, round.readings);
      const { specimen } = round;
      const year = Math.floor(specimen.year);
      const alteredIds = [...specimen.features].filter(([, one]) => isVisiblyAltered(one)).map(([id]) => id);
      const guess = {
        variantId: specimen.variant!.id,
        fromYear: year,
        toYear: year,
        alteredIds,
        lookedAt: tool.featureIds,
      };
      const score = scorePractice(catalogue, round, guess, tool);
      if (tool.featureIds.length) expect(score.total).equal(100);
      if (tool.identification.ranked[0]!.variantId === specimen.variant!.id) settled++;
    }
    expect(settled).greaterThan(17);
  });

  it('takes points off for wrong answers, wide dates, missed parts and needless looks', () => {
    const round = createPracticeRound(catalogue, createSeededRandom(3));
    const tool = findLookPath(catalogue, round.readings);
    const wrong = catalogue.variants.find((variant) => variant.id !== round.specimen.variant!.id)!.id;
    const guess = {
      variantId: wrong,
      fromYear: 1940,
      toYear: 1999,
      alteredIds: [],
      lookedAt: catalogue.features.map((feature) => feature.id),
    };
    const score = scorePractice(catalogue, round, guess, tool);
    expect(score.variant).equal(0);
    expect(score.date).lessThan(5);
    expect(score.effort).lessThan(7);
    expect(score.effortSpent).greaterThan(tool.effort);
    expect(scorePractice(catalogue, round, { ...guess, fromYear: 1900, toYear: 1901 }, tool).date).equal(0);
  });
});
