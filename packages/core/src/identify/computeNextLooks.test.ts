import { expect } from 'chai';
import { bruteForceGain, computeBruteForce, type BruteForce } from '../../test/support/bruteForcePosterior.ts';
import { createRandomCase, look, makeCatalogue, makeFeature, makeVariant } from '../../test/support/identifyWorld.ts';
import { createSimulatedCatalogue } from '../../test/support/simulatedCatalogue.ts';
import type { Answer, IdentifyCatalogue } from './catalogue.ts';
import { computeNextLooks, QUESTIONS, rankLooks, type Question } from './computeNextLooks.ts';
import type { Posterior } from './createIdentifier.ts';
import { answerAll } from './identifySpecimen.ts';

const grille = makeFeature({ key: 'grille', states: ['solid', 'pierced'] });
const hidden = makeFeature({ key: 'hidden', states: ['a', 'b'], effort: 8 });
const same = makeFeature({ key: 'same', states: ['x', 'y'] });
const early = makeVariant('early', [1958, 1961], { grille: 'solid', hidden: 'a', same: 'x' });
const late = makeVariant('late', [1961, 1964], { grille: 'pierced', hidden: 'b', same: 'x' });
const catalogue = makeCatalogue([same, hidden, grille], [early, late]);

const looksOf = (world: IdentifyCatalogue, answers: readonly Answer[] = [], question: Question = 'variant') =>
  computeNextLooks(answerAll(world, answers).computePosterior(), question);

describe('computeNextLooks', () => {
  it('puts the cheap look before the dear one that tells as much, and the useless one last', () => {
    const looks = rankLooks(looksOf(catalogue));
    expect(looks.map((one) => one.featureId)).deep.equal(['grille', 'hidden', 'same']);
    expect(looks[0]!.gainBits).closeTo(looks[1]!.gainBits, 1e-12);
    expect(looks[2]!.gainBits).lessThan(0.05);
  });

  it('does not ask again', () => {
    const looks = looksOf(catalogue, [look('grille', 'solid')]);
    expect(looks.map((one) => one.featureId)).not.include('grille');
    expect(looks.find((one) => one.featureId === 'hidden')!.gainBits).lessThan(0.4);
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
    const order = rankLooks(looksOf(world)).map((one) => one.featureId);
    expect(order).deep.equal(['hidden', 'scratch', 'same']);
  });

  it('asks other things for other questions', () => {
    const years = { old: [null, 1960] as const, late: [1962, null] as const };
    const dated = makeFeature({ key: 'dated', states: ['old', 'late'], years });
    const wheels = makeFeature({ key: 'wheels', states: ['a', 'b', 'c'], group: 'wheels' });
    const one = makeVariant('one', [1956, 1966], { wheels: 'a' });
    const world = makeCatalogue([dated, wheels], [one]);
    const gainOf = (id: string, question: Question) =>
      looksOf(world, [], question).find((candidate) => candidate.featureId === id)!.gainBits;
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
      const labels = {
        variant: (cell: BruteForce['cells'][number]) => cell.variant?.id ?? 'none',
        date: (cell: BruteForce['cells'][number]) => `${cell.quarter}`,
        original: (cell: BruteForce['cells'][number]) => `${cell.history.key === untouched}`,
      };
      for (const question of QUESTIONS) {
        for (const { featureId, gainBits } of looksOf(random, answers, question)) {
          const feature = random.features.find((candidate) => candidate.id === featureId);
          if (!feature) continue;
          const gain = bruteForceGain(slow, random, feature, labels[question]);
          expect(gainBits, `seed ${seed}, ${featureId}, ${question}`).closeTo(gain, 1e-9);
        }
      }
    }
  });

  it('loses little on a sample: a large catalogue asks for the same look as the whole sum', () => {
    const large = createSimulatedCatalogue(11, { variants: 9000 });
    const posterior = answerAll(large, []).computePosterior();
    const chosen = rankLooks(computeNextLooks(posterior, 'variant'))[0]!;
    const whole = large.features.map((feature) => ({ id: feature.id, gain: sumGain(posterior, feature.id) }));
    const best = Math.max(...whole.map(({ id, gain }) => gain / effortOf(large, id)));
    const own = whole.find(({ id }) => id === chosen.featureId)!;
    expect(own.gain / chosen.effort).greaterThan(0.99 * best);
  });
});

const effortOf = (world: IdentifyCatalogue, id: string) => world.features.find((feature) => feature.id === id)!.effort;

/** H(o) - H(o | variant) with nothing answered, summed over every variant. */
function sumGain({ encoded, byHypothesis }: Posterior, featureId: string): number {
  const { altered, outcomeCount, classOf, sureReading } = encoded.looks.find((look) => look.id === featureId)!;
  const changed = altered.reduce((sum, rate, h) => sum + rate * encoded.historyPriors[h]!, 0);
  const bits = (p: number) => (p > 0 ? -p * Math.log2(p) : 0);
  const marginal = new Array<number>(outcomeCount).fill(0);
  let conditional = 0;
  byHypothesis.forEach((mass, i) => {
    for (let o = 0; o < outcomeCount; o++) {
      const p = (1 - changed) * sureReading[classOf[i]! * outcomeCount + o]! + changed / outcomeCount;
      marginal[o]! += mass * p;
      conditional += mass * bits(p);
    }
  });
  return marginal.reduce((sum, p) => sum + bits(p), 0) - conditional;
}
