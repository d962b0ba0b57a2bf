import { expect } from 'chai';
import { createSimulatedCatalogue, readWithCare } from '../../test/support/simulatedCatalogue.ts';
import { look, makeCatalogue, makeFeature, makeVariant } from '../../test/support/identifyWorld.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { NOMINAL_READING } from './catalogue.ts';
import { drawSpecimen, readFeature } from './drawSpecimen.ts';
import { answerAll } from './identifySpecimen.ts';
import { selectMass, thinSample } from './selectMass.ts';

const sum = (values: Iterable<number>) => [...values].reduce((a, b) => a + b, 0);

describe('a sample of the posterior mass', () => {
  const large = createSimulatedCatalogue(9, { variants: 9000 });
  const posterior = answerAll(large, [look('f0', 'a'), look('f1', 'b', 'likely')]).computePosterior();
  const sample = selectMass(posterior);

  it('weighs 1 in all, keeps every heavy hypothesis with its own weight, and is asked for once', () => {
    expect(sum(sample.weight)).closeTo(1, 1e-9);
    expect(sample.index.length).lessThan(6000);
    const kept = new Map([...sample.index].map((i, s) => [i, sample.weight[s]!]));
    posterior.byHypothesis.forEach((p, i) => {
      if (p > 1 / 4000) expect(kept.get(i)).equal(p);
    });
    expect(selectMass(posterior)).equal(sample);
  });

  it('stands for the whole: the mass of every state of a feature comes out the same to a percent', () => {
    for (const { id, classOf, classCount } of posterior.encoded.looks.slice(0, 6)) {
      const whole = new Array<number>(classCount).fill(0);
      const sampled = new Array<number>(classCount).fill(0);
      posterior.byHypothesis.forEach((p, i) => (whole[classOf[i]!]! += p));
      sample.index.forEach((i, s) => (sampled[classOf[i]!]! += sample.weight[s]!));
      whole.forEach((p, c) => expect(sampled[c], `${id}, class ${c}`).closeTo(p, 0.01));
    }
  });

  it('can be thinned, histories going along', () => {
    const thin = thinSample(sample, 300);
    expect(thin.index.length).lessThan(700);
    expect(sum(thin.weight)).closeTo(1, 1e-9);
    const histories = posterior.encoded.histories.length;
    thin.index.forEach((i, s) => {
      const row = thin.history.subarray(s * histories, (s + 1) * histories);
      expect(sum(row)).closeTo(1, 1e-9);
      row.forEach((p, h) => expect(p).closeTo(posterior.joint[i * histories + h]! / posterior.byHypothesis[i]!, 1e-12));
    });
    expect(thinSample(thin, 5000)).equal(thin);
  });

  it('is everything in a small catalogue', () => {
    const small = answerAll(createSimulatedCatalogue(9, { variants: 50 }), []).computePosterior();
    expect(selectMass(small).index).length(51);
  });
});

describe('specimens drawn from the model', () => {
  const wheels = makeFeature({ key: 'wheels', states: ['a', 'b', 'c', 'd'], group: 'wheels' });
  const cast = makeFeature({ key: 'cast', states: ['a', 'b'], group: 'body casting' });
  const catalogue = makeCatalogue(
    [wheels, cast],
    [
      { ...makeVariant('common', [1960, 1962], { wheels: { a: 0.75, b: 0.25 }, cast: 'a' }), rarity: 0 },
      { ...makeVariant('rare', [1966, 1968], { wheels: 'b', cast: 'b' }), rarity: 4 },
    ],
  );
  const random = createSeededRandom(12);
  const drawn = Array.from({ length: 4000 }, () => drawSpecimen(catalogue, random));
  const share = (isMeant: (specimen: (typeof drawn)[number]) => boolean) => drawn.filter(isMeant).length / drawn.length;

  it('are common variants more often than rare ones, and rarely none of them', () => {
    expect(share((one) => one.variant === null)).closeTo(0.02, 0.01);
    expect(share((one) => one.variant?.id === 'rare')).closeTo(0.98 / 5, 0.025);
  });

  it('have histories, alterations and states as often as the model says', () => {
    expect(share((one) => one.history.key === 'untouched')).closeTo(0.55, 0.03);
    expect(share((one) => one.features.get('cast')!.isAltered)).equal(0);
    const untouched = drawn.filter((one) => one.history.key === 'untouched' && one.variant?.id === 'common');
    const withA = untouched.filter((one) => one.features.get('wheels')!.shownId === 'wheels.a');
    expect(withA.length / untouched.length).closeTo(0.75, 0.03);
    for (const one of untouched) expect(one.features.get('wheels')!.isAltered).equal(false);
  });

  it('leave the factory within the years of their variant', () => {
    for (const { variant, year } of drawn)
      if (variant) expect(year).within(variant.span!.startEarliest, variant.span!.endLatest);
  });

  it('are misread as often as the certainty says', () => {
    const dice = createSeededRandom(3);
    for (const certainty of ['sure', 'likely', 'unsure'] as const) {
      const original = drawn.filter((one) => one.variant && !one.features.get('wheels')!.isAltered);
      const right = original.filter(
        (one) => readFeature(one, wheels, certainty, dice).stateId === one.features.get('wheels')!.shownId,
      );
      expect(right.length / original.length, certainty).closeTo(NOMINAL_READING[certainty], 0.03);
    }
    const wrong = drawn.filter((one) => {
      const { isAltered, shownId } = one.features.get('cast')!;
      return !isAltered && one.variant && readWithCare(one, cast, dice).stateId !== shownId;
    });
    expect(wrong.length / drawn.length).closeTo(0.1, 0.03);
  });
});
