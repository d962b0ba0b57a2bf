import { expect } from 'chai';
import { computeBruteForcePosterior } from '../../test/support/bruteForcePosterior.ts';
import { createRandomCase, look, makeFeature, makeVariant } from '../../test/support/identifyWorld.ts';
import { InvalidInputError } from '../model/errors.ts';
import { identifySpecimen } from './identifySpecimen.ts';

const wheels = makeFeature({ key: 'wheels', states: ['metal', 'grey', 'black'], alteredChance: 0.15 });
const base = makeFeature({
  key: 'base',
  states: ['full', 'frame'],
  castIn: true,
  alteredChance: 0.02,
  years: { frame: [1960, null], full: [null, 1960] },
});
const colour = makeFeature({ key: 'colour', states: ['cream', 'red'], alteredChance: 0.12 });
const catalogue = {
  features: [wheels, base, colour],
  variants: [
    makeVariant('first', [1956, 1959], { wheels: 'metal', base: 'full', colour: 'cream' }),
    makeVariant('second', [1960, 1963], { wheels: 'grey', base: 'frame', colour: 'cream' }),
    makeVariant('third', [1963, 1966], { wheels: { grey: 0.5, black: 0.5 }, base: 'frame', colour: 'red' }),
  ],
};

describe('identifySpecimen', () => {
  it('gives even odds before anything was seen', () => {
    const { ranked, noneProbability, evidence } = identifySpecimen(catalogue, []);
    for (const variant of ranked) expect(variant.probability).closeTo(0.98 / 3, 1e-12);
    expect(noneProbability).closeTo(0.02, 1e-12);
    expect(evidence).deep.equal([]);
  });

  it('works out one sure look by hand: P(o|v) = (1 - a) C + a / 3', () => {
    const { ranked, noneProbability } = identifySpecimen({ features: [wheels], variants: catalogue.variants }, [
      look('wheels', 'metal'),
    ]);
    const first = 0.85 * 0.98 + 0.15 / 3;
    const others = 0.85 * 0.01 + 0.15 / 3;
    const none = 1 / 3;
    const total = (0.98 / 3) * (first + 2 * others) + 0.02 * none;
    expect(ranked[0]!.variantId).equal('first');
    expect(ranked[0]!.probability).closeTo(((0.98 / 3) * first) / total, 1e-12);
    expect(noneProbability).closeTo((0.02 * none) / total, 1e-12);
  });

  it('lets what is cast in cut the dates hard, and sets the bound', () => {
    const { ranked, bounds, date } = identifySpecimen(catalogue, [look('base', 'frame')]);
    expect(ranked.find((variant) => variant.variantId === 'first')!.probability).equal(0);
    expect(bounds.notBefore).deep.include({ year: 1960, featureId: 'base' });
    expect(date.interval90.fromYear).least(1960);
  });

  it('names the altered part when everything else speaks against it', () => {
    const answers = [look('base', 'full'), look('colour', 'cream'), look('wheels', 'black')];
    const { ranked, evidence } = identifySpecimen(catalogue, answers);
    expect(ranked[0]!.variantId).equal('first');
    expect(evidence.find((weight) => weight.featureId === 'wheels')!.alteredChance).greaterThan(0.8);
    expect(evidence.find((weight) => weight.featureId === 'colour')!.alteredChance).lessThan(0.1);
  });

  it('weighs a look in bits: for the leader above zero, against it below', () => {
    const { evidence } = identifySpecimen(catalogue, [look('base', 'full'), look('colour', 'red')]);
    expect(evidence.find((weight) => weight.featureId === 'colour')!.bits).lessThan(0);
    const agreed = identifySpecimen(catalogue, [look('wheels', 'metal'), look('colour', 'cream')]);
    for (const weight of agreed.evidence) expect(weight.bits).greaterThan(0);
  });

  it('takes "cannot see" and "missing" for no evidence, and "replaced" for none of the variant', () => {
    const before = identifySpecimen(catalogue, []);
    for (const certainty of ['cannot see', 'missing'] as const) {
      const after = identifySpecimen(catalogue, [look('wheels', null, certainty)]);
      expect(after.ranked.map((variant) => variant.probability)).deep.equal(
        before.ranked.map((variant) => variant.probability),
      );
      expect(after.evidence[0]!.bits).equal(0);
    }
    const replaced = identifySpecimen(catalogue, [look('wheels', 'metal', 'replaced')]);
    expect(replaced.ranked[0]!.probability).closeTo(0.98 / 3, 1e-12);
    expect(replaced.evidence[0]!.alteredChance).equal(1);
  });

  it('sets the dates aside and says so when cast-in dates exclude everything', () => {
    const late = makeFeature({ key: 'late', states: ['a', 'b'], castIn: true, years: { a: [1990, null] } });
    const { impossible, ranked, noneProbability } = identifySpecimen(
      { features: [late], variants: catalogue.variants },
      [look('late', 'a')],
    );
    expect(impossible).equal(true);
    expect(ranked.reduce((sum, variant) => sum + variant.probability, noneProbability)).closeTo(1, 1e-12);
  });

  it('says "none in the catalogue" for an empty one', () => {
    const { ranked, noneProbability, date } = identifySpecimen({ features: [], variants: [] }, []);
    expect(ranked).deep.equal([]);
    expect(noneProbability).equal(1);
    expect(date.interval90.toYear).greaterThan(date.interval90.fromYear);
  });

  it('names the answer that is about nothing in the catalogue', () => {
    expect(() => identifySpecimen(catalogue, [look('wheels', 'metal'), look('hubcap', 'gold')]))
      .throw(InvalidInputError)
      .include({ path: 'answers[1].featureId' });
    expect(() => identifySpecimen(catalogue, [look('wheels', 'gold')]))
      .throw(InvalidInputError)
      .include({ code: 'unknown-state' });
  });

  it('does not depend on the order of the answers', () => {
    const answers = [look('wheels', 'grey', 'likely'), look('base', 'frame', 'unsure'), look('colour', 'red')];
    const there = identifySpecimen(catalogue, answers);
    const back = identifySpecimen(catalogue, [...answers].reverse());
    there.ranked.forEach((variant, i) => expect(variant.probability).closeTo(back.ranked[i]!.probability, 1e-12));
  });

  describe('against brute force', () => {
    for (let seed = 1; seed <= 300; seed++) {
      it(`equals it to 1e-9 (seed ${seed})`, () => {
        const { catalogue: random, answers } = createRandomCase(seed);
        const slow = computeBruteForcePosterior(random, answers);
        const fast = identifySpecimen(random, answers);
        expect(fast.impossible).equal(slow === null);
        if (!slow) return;
        for (const variant of fast.ranked)
          expect(variant.probability).closeTo(slow.variants.get(variant.variantId)!, 1e-9);
        expect(fast.noneProbability).closeTo(slow.none, 1e-9);
        slow.quarters.forEach((probability, q) => expect(fast.dateDensity[q]).closeTo(probability, 1e-9));
      });
    }
  });
});
