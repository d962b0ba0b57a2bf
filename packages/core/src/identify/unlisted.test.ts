import { expect } from 'chai';
import { calibrateSparse } from '../../test/support/calibrateSparse.ts';
import { look, makeCatalogue, makeFeature, makeVariant } from '../../test/support/identifyWorld.ts';
import { LISTED_SHARES } from '../model/catalogue.ts';
import { believeUnlisted } from './believeUnlisted.ts';
import { computeExpectedLoss, sayLossShare } from './computeExpectedLoss.ts';
import { answerAll, identifySpecimen } from './identifySpecimen.ts';
import { createIdentifier } from './createIdentifier.ts';

const features = ['body', 'base', 'wheels', 'glazing', 'decal', 'grille'].map((key) =>
  makeFeature({ key, states: ['a', 'b', 'c'], group: 'body casting' }),
);
const all = (state: string) => Object.fromEntries(features.map(({ id }) => [id, state]));
const listed = makeCatalogue(features, [
  makeVariant('first', [1960, 1962], all('a')),
  makeVariant('second', [1966, 1968], { ...all('a'), body: 'b', wheels: 'b' }),
]);
const some = { ...listed, unlisted: { casting: 0.45 } };
const allLooks = (changed: Readonly<Record<string, string>> = {}) =>
  features.map(({ id }) => look(id, changed[id] ?? 'a'));

describe('what a list lacks', () => {
  it('is said before any model was settled, and more is lacking from a list that is said to be less complete', () => {
    const chances = LISTED_SHARES.map((said) => believeUnlisted(said, { settled: 0, ofFound: 0 }));
    expect(chances[0]).within(0.001, 0.02);
    expect(chances[1]).within(0.08, 0.15);
    expect(chances[2]).within(0.4, 0.5);
  });

  it('falls with every settled model that the list has, and is raised by the first that it lacks', () => {
    for (const said of LISTED_SHARES) {
      const none = [0, 1, 4, 12].map((settled) => believeUnlisted(said, { settled, ofFound: 0 }));
      expect(none).deep.equal([...none].sort((a, b) => b - a));
      const without = believeUnlisted(said, { settled: 5, ofFound: 0 });
      expect(believeUnlisted(said, { settled: 5, ofFound: 1 })).greaterThan(without);
    }
  });

  it('ends near the truth, whatever was said', () => {
    for (const said of LISTED_SHARES) {
      expect(believeUnlisted(said, { settled: 200, ofFound: 0 })).lessThan(0.01);
      expect(believeUnlisted(said, { settled: 200, ofFound: 60 })).lessThan(0.02);
    }
  });
});

describe('a list that is not complete', () => {
  it('gives an issue like a listed one a chance of its own, and names what it is like', () => {
    const strange = allLooks({ grille: 'c' });
    const whole = identifySpecimen(listed, strange);
    const { noneProbability, nearest } = identifySpecimen(some, strange);
    expect(noneProbability).greaterThan(0.6);
    expect(noneProbability).greaterThan(whole.noneProbability);
    expect(nearest).include({ variantId: 'first' });
    expect(nearest!.probability).lessThan(noneProbability);
  });

  it('leaves a model that shows a listed issue in all it has to that issue', () => {
    const { ranked, noneProbability } = identifySpecimen(some, allLooks());
    expect(ranked[0]).include({ variantId: 'first' });
    expect(ranked[0]!.probability).greaterThan(0.8);
    // With every feature looked at, an issue that differs in none of them is no other issue: only misreading is left.
    expect(noneProbability).lessThan(0.1);
  });

  it('says what was stated before anything was looked at, and nothing of it where the list is whole', () => {
    expect(identifySpecimen(some, []).noneProbability).closeTo(0.02 + 0.98 * 0.45, 1e-12);
    const { noneProbability, nearest } = identifySpecimen(listed, []);
    expect(noneProbability).closeTo(0.02, 1e-12);
    expect(nearest).equal(null);
  });

  it('stands beside nothing where nothing is recorded', () => {
    const bare = { ...makeCatalogue(features, [makeVariant('bare', [1960, 1962], {})]), unlisted: { casting: 0.45 } };
    const { ranked, noneProbability } = identifySpecimen(bare, [look('body', 'a')]);
    expect(ranked[0]!.probability + noneProbability).closeTo(1, 1e-12);
    expect(ranked[0]!.probability).closeTo(0.98, 1e-12);
  });

  it('dates an unlisted issue near the one it is like, and wider', () => {
    const strange = allLooks({ grille: 'c' });
    const { date } = identifySpecimen({ ...some, variants: [listed.variants[0]!] }, strange);
    const ends = date.region90;
    expect(ends[0]!.fromYear).within(1957, 1960);
    expect(ends.at(-1)!.toYear).within(1962, 1965);
  });

  it('does not count a rare issue that nobody listed as worthless', () => {
    const rare = { ...some, variants: some.variants.map((variant) => ({ ...variant, rarity: 8 })) };
    const lossOf = (catalogue: typeof rare) =>
      computeExpectedLoss(answerAll(catalogue, allLooks({ grille: 'c' })).computePosterior());
    const { points, from } = lossOf(rare);
    expect(points).greaterThan(lossOf({ ...rare, unlisted: {} } as typeof rare).points);
    expect(from.map(sayLossShare)).include('an issue like first that is not listed');
  });

  it('comes out the same when answers are given, changed and taken back in logs and in plain numbers', () => {
    const identifier = createIdentifier(some);
    for (let round = 0; round < 600; round++) {
      identifier.setAnswerInPlace('grille', look('grille', round % 2 ? 'c' : 'b'));
      identifier.setAnswerInPlace('grille', null);
    }
    for (const answer of allLooks({ grille: 'c' })) identifier.setAnswerInPlace(answer.featureId, answer);
    const again = identifier.computePosterior().byHypothesis;
    const once = answerAll(some, allLooks({ grille: 'c' })).computePosterior().byHypothesis;
    again.forEach((probability, i) => expect(probability).closeTo(once[i]!, 1e-9));
  });

  for (const [said, share, most] of [
    ['all', 1, 0.03],
    ['most', 0.8, 0.03],
    ['some', 0.4, 0.04],
  ] as const)
    it(`is calibrated on castings in chains of siblings where ${said} issues are listed`, () => {
      const { ece, isNone, saysNone, coverage90 } = calibrateSparse({
        ...{ listed: share, said, settled: 0, specimens: 1500, seed: 5 },
      });
      expect(ece).lessThan(most);
      expect(saysNone).closeTo(isNone, 0.03);
      expect(coverage90).within(0.86, 0.94);
    });
});
