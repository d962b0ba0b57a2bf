import { expect } from 'chai';
import { bruteForceGain, computeBruteForce } from '../../test/support/bruteForcePosterior.ts';
import { createRandomCase, look, makeCatalogue, makeFeature, makeVariant } from '../../test/support/identifyWorld.ts';
import type { Answer, IdentifyCatalogue } from './catalogue.ts';
import { computeNextLooks, rankLooks, type Question } from './computeNextLooks.ts';
import { answerAll } from './identifySpecimen.ts';

const grille = makeFeature({ key: 'grille', states: ['solid', 'pierced'] });
const hidden = makeFeature({ key: 'hidden', states: ['a', 'b'], effort: 8 });
const same = makeFeature({ key: 'same', states: ['x', 'y'] });
const early = makeVariant('early', [1958, 1961], { grille: 'solid', hidden: 'a', same: 'x' });
const late = makeVariant('late', [1961, 1964], { grille: 'pierced', hidden: 'b', same: 'x' });
const catalogue = makeCatalogue([same, hidden, grille], [early, late]);

const looksOf = (world: IdentifyCatalogue, answers: readonly Answer[] = []) =>
  computeNextLooks(answerAll(world, answers).computePosterior());

describe('computeNextLooks', () => {
  it('puts the cheap look before the dear one that tells as much, and the useless one last', () => {
    const looks = rankLooks(looksOf(catalogue), 'variant');
    expect(looks.map((one) => one.featureId)).deep.equal(['grille', 'hidden', 'same']);
    expect(looks[0]!.gainBits.variant).closeTo(looks[1]!.gainBits.variant, 1e-12);
    expect(looks[2]!.gainBits.variant).lessThan(0.05);
  });

  it('does not ask again', () => {
    const looks = looksOf(catalogue, [look('grille', 'solid')]);
    expect(looks.map((one) => one.featureId)).not.include('grille');
    expect(looks.find((one) => one.featureId === 'hidden')!.gainBits.variant).lessThan(0.4);
  });

  it('holds a destructive look back behind every harmless one that would do', () => {
    const scratch = makeFeature({ key: 'scratch', states: ['a', 'b'], destroys: 'paint' });
    const world = makeCatalogue(
      [scratch, hidden, same],
      [
        { ...early, states: { ...early.states, scratch: { 'scratch.a': 1 } } },
        { ...late, states: { ...late.states, scratch: { 'scratch.b': 1 } } },
      ],
    );
    const order = rankLooks(looksOf(world), 'variant').map((one) => one.featureId);
    expect(order).deep.equal(['hidden', 'scratch', 'same']);
  });

  it('asks other things for other questions', () => {
    const years = { old: [null, 1960] as const, late: [1962, null] as const };
    const dated = makeFeature({ key: 'dated', states: ['old', 'late'], years });
    const wheels = makeFeature({ key: 'wheels', states: ['a', 'b', 'c'], group: 'wheels' });
    const one = makeVariant('one', [1956, 1966], { wheels: 'a' });
    const looks = looksOf(makeCatalogue([dated, wheels], [one]));
    const gainOf = (id: string, question: Question) =>
      looks.find((candidate) => candidate.featureId === id)!.gainBits[question];
    expect(gainOf('dated', 'date')).greaterThan(0.2);
    expect(gainOf('wheels', 'date')).lessThan(0.05);
    expect(gainOf('wheels', 'original')).greaterThan(0.05);
  });

  it('equals the mutual information written out over the joint table (seeds 1 to 120)', () => {
    for (let seed = 1; seed <= 120; seed++) {
      const { catalogue: random, answers } = createRandomCase(seed);
      const slow = computeBruteForce(random, answers);
      if (!slow) continue;
      const untouched = random.histories.find((one) => Object.values(one.rates).every((rate) => rate === 0))?.key;
      for (const { featureId, gainBits } of looksOf(random, answers)) {
        const feature = random.features.find((candidate) => candidate.id === featureId);
        if (!feature) continue;
        const title = `seed ${seed}, ${featureId}`;
        const gain = (labelOf: Parameters<typeof bruteForceGain>[3]) => bruteForceGain(slow, random, feature, labelOf);
        expect(gainBits.variant, title).closeTo(
          gain((cell) => cell.variant?.id ?? 'none'),
          1e-9,
        );
        expect(gainBits.date, title).closeTo(
          gain((cell) => `${cell.quarter}`),
          1e-9,
        );
        expect(gainBits.original, title).closeTo(
          gain((cell) => `${cell.history.key === untouched}`),
          1e-9,
        );
      }
    }
  });
});
