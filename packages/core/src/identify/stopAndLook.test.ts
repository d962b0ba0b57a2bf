import { expect } from 'chai';
import { computeBruteForce } from '../../test/support/bruteForcePosterior.ts';
import { createRandomCase, look, makeCatalogue, makeFeature, makeVariant } from '../../test/support/identifyWorld.ts';
import { checkStop } from './checkStop.ts';
import { computeExpectedLoss } from './computeExpectedLoss.ts';
import { foreseeLooks, selectMindChangers } from './foreseeLooks.ts';
import { answerAll } from './identifySpecimen.ts';

const colour = makeFeature({ key: 'colour', states: ['ochre', 'orange'], group: 'outer coat' });
const sheltered = makeFeature({ key: 'sheltered', states: ['ochre', 'orange'], group: 'sheltered coat', effort: 4 });
const hose = makeFeature({ key: 'hose', states: ['short', 'long'], group: 'body casting', effort: 2 });
const window = makeFeature({ key: 'window', states: ['ochre', 'orange'], group: 'sheltered coat', destroys: 'a spot' });
const rare = {
  ...makeVariant('rare', [1961, 1962], { colour: 'ochre', sheltered: 'ochre', hose: 'short', window: 'ochre' }),
  rarity: 8,
};
const common = {
  ...makeVariant('common', [1962, 1965], { colour: 'ochre', sheltered: 'ochre', hose: 'long', window: 'ochre' }),
  rarity: 0,
};
const other = makeVariant('other', [1965, 1968], {
  colour: 'orange',
  sheltered: 'orange',
  hose: 'long',
  window: 'orange',
});
const catalogue = makeCatalogue([colour, sheltered, hose, window], [rare, common, other]);
const lossAfter = (...answers: Parameters<typeof answerAll>[1]) =>
  computeExpectedLoss(answerAll(catalogue, answers).computePosterior());

describe('expected loss of stripping', () => {
  it('is rarity times the chance of that variant in its own coat, by hand', () => {
    const untouched = { ...catalogue, histories: catalogue.histories.slice(0, 1) };
    const posterior = answerAll(untouched, [look('hose', 'short')]).computePosterior();
    const loss = computeExpectedLoss(posterior);
    expect(loss.points).closeTo(8 * posterior.byHypothesis[0]!, 1e-12);
    expect(loss.originalChance).closeTo(1, 1e-12);
    expect(loss.from).deep.equal([
      { variantId: 'rare', name: 'rare', rarity: 8, isUnlisted: false, chance: posterior.byHypothesis[0]! },
    ]);
  });

  it('falls when the coat speaks of a repaint, and rises when it fits', () => {
    const nothing = lossAfter(look('hose', 'short'));
    expect(lossAfter(look('hose', 'short'), look('colour', 'orange'))!.points).lessThan(nothing.points / 3);
    expect(lossAfter(look('hose', 'short'), look('colour', 'ochre'))!.points).greaterThan(nothing.points);
    expect(lossAfter(look('hose', 'short'), look('colour', 'ochre', 'replaced')).originalChance).closeTo(0, 1e-12);
  });
});

describe('foreseen looks', () => {
  it('has chances that sum to 1 and match the brute-force ratio of masses, for 60 random catalogues', () => {
    for (let seed = 0; seed < 60; seed++) {
      const { catalogue: world, answers, statements } = createRandomCase(4000 + seed);
      const open = world.features.filter((feature) => answers.every((answer) => answer.featureId !== feature.id));
      const before = computeBruteForce(world, answers, statements);
      if (!before || open.length === 0) continue;
      const identifier = answerAll(world, answers, undefined, statements);
      const before1 = [...identifier.computePosterior().byHypothesis];
      const foreseen = foreseeLooks(identifier, [open[0]!.id]);
      expect(foreseen.reduce((sum, one) => sum + one.probability, 0)).closeTo(1, 1e-9);
      for (const one of foreseen.filter(({ probability }) => probability > 1e-9)) {
        const after = computeBruteForce(
          world,
          [...answers, { featureId: one.featureId, stateId: one.stateId, certainty: 'sure' }],
          statements,
        )!;
        const best = Math.max(after.none, ...after.variants.values());
        expect(one.leaderProbability).closeTo(best, 1e-9);
      }
      [...identifier.computePosterior().byHypothesis].forEach((p, i) => expect(p).closeTo(before1[i]!, 1e-12));
    }
  });

  it('names the harmless look that would settle it, and what would change the mind', () => {
    const identifier = answerAll(catalogue, [look('colour', 'ochre')]);
    const loss = computeExpectedLoss(identifier.computePosterior());
    const foreseen = foreseeLooks(identifier, ['sheltered', 'hose', 'window']);
    const stop = checkStop(loss, 0.2, foreseen, 0.5);
    expect(stop.isHeld).equal(true);
    expect(stop.settledBy!.featureId).equal('hose');
    expect(stop.settledBy!.clears).within(0.8, 0.98);
    const changers = selectMindChangers(foreseen, 'common');
    expect(changers.find((one) => one.featureId === 'hose')).include({
      featureId: 'hose',
      stateId: 'hose.short',
      leaderId: 'rare',
    });
    expect(changers.map((one) => one.featureId)).not.include('window');
    // Once the model is known, a look that can only confirm settles nothing.
    expect(checkStop(loss, 0.001, foreseen, 0.97).settledBy).equal(null);
  });

  it('lets go under the threshold and then names no look', () => {
    const { isHeld, settledBy } = checkStop(lossAfter(look('hose', 'long'), look('colour', 'orange')), 1, [], 0.5);
    expect({ isHeld, settledBy }).deep.equal({ isHeld: false, settledBy: null });
  });

  it('names none when no harmless look helps', () => {
    expect(checkStop({ points: 4, originalChance: 1, from: [] }, 1, [], 1).settledBy).equal(null);
  });
});
