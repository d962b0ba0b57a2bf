import { expect } from 'chai';
import { computeBruteForce } from '../../test/support/bruteForcePosterior.ts';
import {
  createRandomAnswer,
  createRandomCase,
  look,
  makeCatalogue,
  makeFeature,
  makeVariant,
} from '../../test/support/identifyWorld.ts';
import { InvalidInputError } from '../model/errors.ts';
import { createSeededRandom, pickOne } from '../numeric/seededRandom.ts';
import { DEFAULT_SETTINGS, type Answer } from './catalogue.ts';
import { createIdentifier } from './createIdentifier.ts';
import { DEFAULT_HISTORIES } from './histories.ts';
import { describePosterior, identifySpecimen, type Identification } from './identifySpecimen.ts';

const wheels = makeFeature({ key: 'wheels', states: ['metal', 'grey', 'black'], group: 'wheels' });
const base = makeFeature({
  key: 'base',
  states: ['full', 'frame'],
  group: 'body casting',
  years: { frame: [1960, null], full: [null, 1960] },
});
const colour = makeFeature({ key: 'colour', states: ['cream', 'red'], group: 'outer coat' });
const sheltered = makeFeature({ key: 'sheltered', states: ['cream', 'red'], group: 'sheltered coat' });
const variants = [
  makeVariant('first', [1956, 1959], { wheels: 'metal', base: 'full', colour: 'cream', sheltered: 'cream' }),
  makeVariant('second', [1960, 1963], { wheels: 'grey', base: 'frame', colour: 'cream', sheltered: 'cream' }),
  makeVariant('third', [1963, 1966], {
    wheels: { grey: 0.5, black: 0.5 },
    base: 'frame',
    colour: 'red',
    sheltered: 'red',
  }),
];
const catalogue = makeCatalogue([wheels, base, colour, sheltered], variants);
const untouchedOnly = DEFAULT_HISTORIES.slice(0, 1);

const chanceOf = (identification: Identification, variantId: string) =>
  identification.ranked.find((variant) => variant.variantId === variantId)!.probability;

describe('identifySpecimen', () => {
  it('gives even odds before anything was seen', () => {
    const { ranked, noneProbability, evidence, untouchedProbability } = identifySpecimen(catalogue, []);
    for (const variant of ranked) expect(variant.probability).closeTo(0.98 / 3, 1e-12);
    expect(noneProbability).closeTo(0.02, 1e-12);
    expect(untouchedProbability).closeTo(0.55, 1e-12);
    expect(evidence).deep.equal([]);
  });

  it('works out one sure look by hand: the mixture over histories of (1 - a) C + a / 3', () => {
    const { ranked, noneProbability } = identifySpecimen(makeCatalogue([wheels], variants), [look('wheels', 'metal')]);
    // Chance that wheels were altered: 0.2 * 0.8 + 0.15 * 0.1 + 0.1 * 0.6.
    const a = 0.235;
    const first = (1 - a) * 0.98 + a / 3;
    const others = (1 - a) * 0.01 + a / 3;
    const total = (0.98 / 3) * (first + 2 * others) + 0.02 / 3;
    expect(ranked[0]!.variantId).equal('first');
    expect(ranked[0]!.probability).closeTo(((0.98 / 3) * first) / total, 1e-12);
    expect(noneProbability).closeTo(0.02 / 3 / total, 1e-12);
  });

  it('lets what cannot be exchanged cut the dates hard, and sets the bound', () => {
    const identification = identifySpecimen(catalogue, [look('base', 'frame')]);
    expect(chanceOf(identification, 'first')).equal(0);
    expect(identification.bounds.notBefore).deep.include({ year: 1960, featureId: 'base' });
    expect(identification.date.region90[0]!.fromYear).least(1960);
  });

  it('does not make a wall of an unsure reading', () => {
    const identification = identifySpecimen(catalogue, [look('base', 'frame', 'unsure')]);
    expect(chanceOf(identification, 'first')).greaterThan(0.05);
    expect(identification.bounds.notBefore).equal(null);
  });

  it('catches an overpaint in a colour the factory also used by the sheltered places', () => {
    const answers = [look('wheels', 'grey'), look('base', 'frame'), look('colour', 'red')];
    const outside = identifySpecimen(catalogue, answers);
    expect(outside.ranked[0]!.variantId).equal('third');
    const inside = identifySpecimen(catalogue, [...answers, look('sheltered', 'cream')]);
    expect(inside.ranked[0]!.variantId).equal('second');
    expect(inside.alteredChances.colour).greaterThan(0.65);
    expect(inside.alteredChances.sheltered).lessThan(0.1);
    expect(inside.histories[0]!.key).equal('repainted');
  });

  it('lets alterations go together: one repainted face makes the next one likelier', () => {
    const decal = makeFeature({ key: 'decal', states: ['none', 'crest'], group: 'outer coat' });
    const two = makeCatalogue([colour, sheltered, decal], variants);
    const clean = identifySpecimen(two, [look('sheltered', 'cream'), look('colour', 'cream')]);
    const repainted = identifySpecimen(two, [look('sheltered', 'cream'), look('colour', 'red')]);
    expect(clean.alteredChances.decal).lessThan(0.15);
    expect(repainted.alteredChances.decal).greaterThan(0.55);
  });

  it('weighs a look in bits: for the leader above zero, against it below', () => {
    const { evidence } = identifySpecimen(catalogue, [look('base', 'full'), look('colour', 'red')]);
    expect(evidence.find((weight) => weight.featureId === 'colour')!.bits).lessThan(0);
    const agreed = identifySpecimen(catalogue, [look('wheels', 'metal'), look('sheltered', 'cream')]);
    for (const weight of agreed.evidence) expect(weight.bits).greaterThan(0);
  });

  it('gives the bits of a single look as the logarithm of its Bayes factor', () => {
    const one = makeCatalogue([wheels], variants, untouchedOnly);
    const { evidence, ranked } = identifySpecimen(one, [look('wheels', 'metal')]);
    expect(ranked[0]!.variantId).equal('first');
    const prior = 0.98 / 3;
    const rivals = (2 * prior * 0.01 + 0.02 / 3) / (2 * prior + 0.02);
    expect(evidence[0]!.bits).closeTo(Math.log2(0.98 / rivals), 1e-9);
  });

  it('takes "cannot see" and "missing" for no evidence', () => {
    const before = identifySpecimen(catalogue, []);
    for (const certainty of ['cannot see', 'missing'] as const) {
      const after = identifySpecimen(catalogue, [look('wheels', null, certainty)]);
      expect(after.ranked).deep.equal(before.ranked);
      expect(after.evidence[0]!.bits).equal(0);
      expect(after.alteredChances.wheels).closeTo(0.235, 1e-12);
    }
  });

  it('takes "replaced" for an alteration that says nothing of the variant and ends "untouched"', () => {
    const replaced = identifySpecimen(catalogue, [look('wheels', 'metal', 'replaced')]);
    expect(replaced.ranked[0]!.probability).closeTo(0.98 / 3, 1e-12);
    expect(replaced.alteredChances.wheels).closeTo(1, 1e-12);
    expect(replaced.untouchedProbability).lessThan(1e-5);
    expect(replaced.histories[0]!.key).equal('wheels-changed');
  });

  it('identifies by size alone when the number is hidden', () => {
    const sized = {
      features: [],
      measures: [{ id: 'wheelbase', label: 'Wheelbase', howToLook: '', effort: 2, toleranceMm: 0.3 }],
      variants: ['a', 'b', 'c'].map((id, i) => ({ ...makeVariant(id, null, {}), sizesMm: { wheelbase: 36 + i } })),
      histories: DEFAULT_HISTORIES,
    };
    const { ranked } = identifySpecimen(sized, [{ featureId: 'wheelbase', valueMm: 37.1, spreadMm: 0.1 }]);
    expect(ranked[0]!.variantId).equal('b');
    expect(ranked[0]!.probability).greaterThan(0.85);
    const far = identifySpecimen(sized, [{ featureId: 'wheelbase', valueMm: 52, spreadMm: 0.1 }]);
    expect(far.noneProbability).greaterThan(0.4);
  });

  it('dates what the catalogue does not have, by the years of what was seen', () => {
    const years = { old: [null, 1958] as const, late: [1962, null] as const };
    const dated = makeFeature({ key: 'dated', states: ['old', 'late'], group: 'body casting', years });
    const undated = makeCatalogue([dated], [...variants, makeVariant('nobody knows', null, { dated: 'late' })]);
    const { date } = identifySpecimen(undated, [look('dated', 'late')]);
    expect(date.region90[0]!.fromYear).least(1962);
  });

  it('keeps statements that contradict each other and lets both pull', () => {
    const said = (fromYear: number, toYear: number) =>
      ({ label: 'said', fromYear, toYear, certainty: 'likely' }) as const;
    const spread = (statements: readonly ReturnType<typeof said>[]) => {
      const { dateDensity } = identifySpecimen(catalogue, [], DEFAULT_SETTINGS, statements);
      const massOf = (year: number) =>
        dateDensity.slice((year - 1956) * 4, (year - 1956) * 4 + 4).reduce((a, b) => a + b);
      return [massOf(1957), massOf(1964)] as const;
    };
    const [early, late] = spread([]);
    const [earlySaid, lateSaid] = spread([said(1957, 1958)]);
    const [earlyBoth, lateBoth] = spread([said(1957, 1958), said(1964, 1965)]);
    expect(earlySaid).greaterThan(early);
    expect(lateSaid).lessThan(late);
    expect(lateBoth).greaterThan(lateSaid);
    expect(earlyBoth).greaterThan(0.05);
  });

  it('sets the dates aside and says so when hard dates exclude everything', () => {
    const late = makeFeature({ key: 'late', states: ['a', 'b'], group: 'body casting', years: { a: [1990, null] } });
    const { impossible, ranked, noneProbability } = identifySpecimen(makeCatalogue([late], variants), [
      look('late', 'a'),
    ]);
    expect(impossible).equal(true);
    expect(ranked.reduce((sum, variant) => sum + variant.probability, noneProbability)).closeTo(1, 1e-12);
  });

  it('says "none in the catalogue" for an empty one', () => {
    const { ranked, noneProbability, date } = identifySpecimen(makeCatalogue([], []), []);
    expect(ranked).deep.equal([]);
    expect(noneProbability).equal(1);
    expect(date.region90[0]!.toYear).greaterThan(date.region90[0]!.fromYear);
  });

  it('names the answer that is about nothing in the catalogue', () => {
    expect(() => identifySpecimen(catalogue, [look('wheels', 'metal'), look('hubcap', 'gold')]))
      .throw(InvalidInputError)
      .include({ path: 'answers[1].featureId' });
    expect(() => identifySpecimen(catalogue, [look('wheels', 'gold')]))
      .throw(InvalidInputError)
      .include({ code: 'unknown-state' });
    expect(() => identifySpecimen(catalogue, [{ featureId: 'wheels', valueMm: 3, spreadMm: 1 }]))
      .throw(InvalidInputError)
      .include({ code: 'not-a-size' });
  });
});

/** Everything the yardstick knows must come out the same. */
function expectEqual(fast: Identification, slow: ReturnType<typeof computeBruteForce>) {
  expect(fast.impossible).equal(slow === null);
  if (!slow) return;
  for (const variant of fast.ranked) expect(variant.probability).closeTo(slow.variants.get(variant.variantId)!, 1e-9);
  expect(fast.noneProbability).closeTo(slow.none, 1e-9);
  for (const history of fast.histories) expect(history.probability).closeTo(slow.histories.get(history.key)!, 1e-9);
  slow.quarters.forEach((probability, q) => expect(fast.dateDensity[q]).closeTo(probability, 1e-9));
}

describe('identification against brute force over variant, history and quarter', () => {
  for (let seed = 1; seed <= 200; seed++) {
    it(`equals it to 1e-9, answers changed and taken back included (seed ${seed})`, () => {
      const { catalogue: drawn, answers, statements } = createRandomCase(seed);
      const random = seed % 2 ? drawn : { ...drawn, unlisted: { casting: 0.3 } };
      expectEqual(
        identifySpecimen(random, answers, DEFAULT_SETTINGS, statements),
        computeBruteForce(random, answers, statements),
      );
      const dice = createSeededRandom(seed + 1000);
      const identifier = createIdentifier(random);
      const given = new Map<string, Answer>();
      for (let step = 0; step < 12; step++) {
        const feature = pickOne(random.features, dice);
        const answer = dice() < 0.3 ? null : createRandomAnswer(feature, dice);
        identifier.setAnswerInPlace(feature.id, answer);
        if (answer) given.set(feature.id, answer);
        else given.delete(feature.id);
      }
      expectEqual(describePosterior(identifier.computePosterior()), computeBruteForce(random, [...given.values()]));
    });
  }

  it('does not underflow with hundreds of answers, and finds back', () => {
    const features = Array.from({ length: 300 }, (_, i) =>
      makeFeature({ key: `f${i}`, states: ['a', 'b', 'c', 'd', 'e', 'f'], group: 'body casting' }),
    );
    const states = (state: string) => Object.fromEntries(features.map((feature) => [feature.id, state]));
    const many = makeCatalogue(features, [makeVariant('a', null, states('a')), makeVariant('b', null, states('b'))]);
    const identifier = createIdentifier(many);
    for (const feature of features) identifier.setAnswerInPlace(feature.id, look(feature.id, 'a'));
    const all = describePosterior(identifier.computePosterior());
    expect(all.ranked[0]!.variantId).equal('a');
    expect(all.ranked[0]!.probability).closeTo(1, 1e-12);
    for (const feature of features.slice(2)) identifier.setAnswerInPlace(feature.id, null);
    const two = describePosterior(identifier.computePosterior());
    const slow = computeBruteForce(many, [look('f0', 'a'), look('f1', 'a')])!;
    expect(chanceOf(two, 'b')).closeTo(slow.variants.get('b')!, 1e-12);
  });
});
