import { expect } from 'chai';
import { createRandomCase, look, makeFeature, makeVariant } from '../../test/support/identifyWorld.ts';
import { DEFAULT_SETTINGS, type IdentifyCatalogue } from './catalogue.ts';
import { combineLikelihood, createLikelihood, readingChance } from './createLikelihood.ts';
import { computeNextLooks } from './computeNextLook.ts';
import { describeInterval, describeVerdict, formatPercent } from './describeVerdict.ts';
import { identifySpecimen } from './identifySpecimen.ts';

const grille = makeFeature({ key: 'grille', states: ['solid', 'pierced'], alteredChance: 0.01 });
const hidden = makeFeature({ key: 'hidden', states: ['a', 'b'], alteredChance: 0.01, effort: 8 });
const same = makeFeature({ key: 'same', states: ['x', 'y'], alteredChance: 0.01 });
const catalogue = {
  features: [same, hidden, grille],
  variants: [
    makeVariant('early', [1958, 1961], { grille: 'solid', hidden: 'a', same: 'x' }),
    makeVariant('late', [1961, 1964], { grille: 'pierced', hidden: 'b', same: 'x' }),
  ],
};

describe('computeNextLooks', () => {
  it('puts the cheap look before the dear one that tells as much, and the useless one last', () => {
    const looks = computeNextLooks(catalogue, [], identifySpecimen(catalogue, []));
    expect(looks.map((one) => one.featureId)).deep.equal(['grille', 'hidden', 'same']);
    expect(looks[0]!.gainBits).closeTo(looks[1]!.gainBits, 1e-12);
    expect(looks[2]!.gainBits).lessThan(0.05);
  });

  it('does not ask again', () => {
    const answers = [look('grille', 'solid')];
    const looks = computeNextLooks(catalogue, answers, identifySpecimen(catalogue, answers));
    expect(looks.map((one) => one.featureId)).not.include('grille');
    expect(looks.find((one) => one.featureId === 'hidden')!.gainBits).lessThan(0.3);
  });

  it('equals the mutual information written out over the joint table (seeds 1 to 60)', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const { catalogue: random } = createRandomCase(seed);
      const identification = identifySpecimen(random, []);
      for (const { featureId, gainBits } of computeNextLooks(random, [], identification)) {
        expect(gainBits, `seed ${seed}, ${featureId}`).closeTo(
          mutualInformation(random, featureId, identification),
          1e-9,
        );
      }
    }
  });

  function mutualInformation(
    world: IdentifyCatalogue,
    featureId: string,
    identification: ReturnType<typeof identifySpecimen>,
  ): number {
    const feature = world.features.find((candidate) => candidate.id === featureId)!;
    const rows = [...world.variants, null].map((variant) => {
      const p = variant
        ? identification.ranked.find((one) => one.variantId === variant.id)!.probability
        : identification.noneProbability;
      const raw = feature.states.map((state) =>
        combineLikelihood(
          createLikelihood({ featureId, stateId: state.id, certainty: 'sure' }, feature, DEFAULT_SETTINGS)(variant),
        ),
      );
      const total = raw.reduce((a, b) => a + b, 0);
      return raw.map((value) => (p * value) / total);
    });
    const columns = feature.states.map((_, s) => rows.reduce((sum, row) => sum + row[s]!, 0));
    let bits = 0;
    for (const row of rows) {
      const p = row.reduce((a, b) => a + b, 0);
      row.forEach((joint, s) => {
        if (joint > 0) bits += joint * Math.log2(joint / (p * columns[s]!));
      });
    }
    return Math.max(0, bits);
  }
});

describe('createLikelihood', () => {
  const alike = makeFeature({
    key: 'ends',
    states: ['domed', 'pressed', 'crimped'],
    alikes: { domed: ['pressed'] },
    alteredChance: 0.1,
  });

  it('shares a reading error among look-alikes only', () => {
    expect(readingChance('ends.domed', 'ends.domed', alike, 0.98)).equal(0.98);
    expect(readingChance('ends.pressed', 'ends.domed', alike, 0.98)).closeTo(0.02, 1e-12);
    expect(readingChance('ends.crimped', 'ends.domed', alike, 0.98)).equal(0);
    expect(readingChance('ends.domed', 'ends.crimped', alike, 0.98)).closeTo(0.01, 1e-12);
  });

  it('cannot misread the only state there is', () => {
    const one = makeFeature({ key: 'one', states: ['only'] });
    expect(readingChance('one.only', 'one.only', one, 0.6)).equal(1);
  });

  it('mixes several recorded states by their shares', () => {
    const variant = makeVariant('v', [1960, 1962], { ends: { domed: 0.75, crimped: 0.25 } });
    const { original } = createLikelihood(look('ends', 'domed'), alike, DEFAULT_SETTINGS)(variant);
    expect(original).closeTo(0.75 * 0.98 + 0.25 * 0.01, 1e-12);
  });

  it('is even for a feature the variant has no record of', () => {
    expect(
      createLikelihood(look('ends', 'domed'), alike, DEFAULT_SETTINGS)(makeVariant('v', [1960, 1962], {})).original,
    ).closeTo(1 / 3, 1e-12);
  });
});

describe('describeVerdict', () => {
  it('names the leader, its years and its probability', () => {
    const sentence = describeVerdict(
      identifySpecimen(catalogue, [look('grille', 'solid'), look('hidden', 'a')]),
      catalogue,
    );
    expect(sentence).match(/^early, .*1958 to .*1960, 9\d %\.$/);
  });

  it('says when nothing was looked at, when nothing is settled, when it is none of them, and when there is nothing to choose from', () => {
    expect(describeVerdict(identifySpecimen(catalogue, []), catalogue)).match(
      /^Nothing looked at yet; 2 variants are possible, .*1958 to .*196[34]\.$/,
    );
    expect(describeVerdict(identifySpecimen(catalogue, [look('same', 'x')]), catalogue)).match(
      /^Not settled; early leads/,
    );
    expect(describeVerdict(identifySpecimen({ features: [], variants: [] }, []), catalogue)).equal(
      'The catalogue has no variant of this casting yet.',
    );
    const strange = { ...catalogue, variants: [catalogue.variants[0]!] };
    const answers = [look('grille', 'pierced'), look('hidden', 'b'), look('same', 'y')];
    expect(describeVerdict(identifySpecimen(strange, answers), strange)).match(
      /^Probably none of the catalogue's variants/,
    );
  });

  it('says when what is cast in contradicts itself', () => {
    const old = makeFeature({ key: 'old', states: ['a', 'b'], castIn: true, years: { a: [null, 1960] } });
    const young = makeFeature({ key: 'young', states: ['a', 'b'], castIn: true, years: { a: [1965, null] } });
    const world = { features: [old, young], variants: catalogue.variants };
    const sentence = describeVerdict(identifySpecimen(world, [look('old', 'a'), look('young', 'a')]), world);
    expect(sentence).include('what is cast in contradicts itself: parts of two tools');
  });

  it('puts quarters into words', () => {
    expect(describeInterval({ fromYear: 1962.25, toYear: 1963.75 })).equal('spring 1962 to summer 1963');
    expect(describeInterval({ fromYear: 1962, toYear: 1962.25 })).equal('early 1962');
  });

  it('never prints a false 0 or 100', () => {
    expect(formatPercent(0.001)).equal('under 1 %');
    expect(formatPercent(0.999)).equal('over 99 %');
    expect(formatPercent(1)).equal('100 %');
    expect(formatPercent(0)).equal('0 %');
  });
});
