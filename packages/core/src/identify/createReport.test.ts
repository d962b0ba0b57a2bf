import { expect } from 'chai';
import { createRandomAnswer, createRandomCase } from '../../test/support/identifyWorld.ts';
import { createSimulatedCatalogue } from '../../test/support/simulatedCatalogue.ts';
import { createSeededRandom, pickOne } from '../numeric/seededRandom.ts';
import type { Answer } from './catalogue.ts';
import { QUESTIONS } from './computeNextLooks.ts';
import { createIdentifier } from './createIdentifier.ts';
import { createReport, syncAnswersInPlace } from './createReport.ts';
import { answerAll } from './identifySpecimen.ts';

describe('syncAnswersInPlace', () => {
  it('brings an identifier to the same posterior as a fresh one, whatever came before (40 seeds)', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const { catalogue, statements } = createRandomCase(seed + 7000);
      const dice = createSeededRandom(seed);
      const identifier = createIdentifier(catalogue);
      let before: Answer[] = [];
      for (let step = 0; step < 6; step++) {
        const chosen = catalogue.features.filter(() => dice() < 0.6);
        const after = chosen.map((feature) => createRandomAnswer(feature, dice));
        const heard = dice() < 0.5 ? statements : [];
        syncAnswersInPlace(identifier, before, after, heard);
        const synced = [...identifier.computePosterior().byHypothesis];
        const fresh = answerAll(catalogue, after, undefined, heard).computePosterior().byHypothesis;
        synced.forEach((p, i) => expect(p, `seed ${seed}, step ${step}`).closeTo(fresh[i]!, 1e-10));
        before = after;
      }
    }
  });

  it('takes a size that changed, and leaves one that did not', () => {
    const catalogue = {
      features: [],
      measures: [{ id: 'length', label: 'Length', howToLook: '', effort: 4, toleranceMm: 0.3 }],
      variants: [60, 62].map((length) => ({
        ...{ id: `v${length}`, name: '', castingId: 'c', rarity: 0, span: null, states: {}, statements: [] },
        sizesMm: { length },
      })),
      histories: [],
    };
    const identifier = createIdentifier(catalogue);
    const size = (valueMm: number): Answer => ({ featureId: 'length', valueMm, spreadMm: 0.1 });
    syncAnswersInPlace(identifier, [], [size(60)], []);
    expect(identifier.computePosterior().byHypothesis[0]).greaterThan(0.9);
    syncAnswersInPlace(identifier, [size(60)], [size(62)], []);
    expect(identifier.computePosterior().byHypothesis[1]).greaterThan(0.9);
    syncAnswersInPlace(identifier, [size(62)], [], []);
    expect(identifier.computePosterior().byHypothesis[0]).closeTo(0.49, 1e-9);
  });
});

describe('createReport', () => {
  const catalogue = createSimulatedCatalogue(21, { variants: 40, isDated: true });

  it('ranks the looks by the question and leaves the identifier as it was', () => {
    const identifier = createIdentifier(catalogue);
    const random = createSeededRandom(4);
    for (const feature of catalogue.features.slice(0, 5))
      identifier.setAnswerInPlace(feature.id, {
        ...{ featureId: feature.id, stateId: pickOne(feature.states, random).id, certainty: 'likely' as const },
      });
    const before = [...identifier.computePosterior().byHypothesis];
    for (const question of QUESTIONS) {
      const { looks } = createReport(identifier, 1, question);
      expect(looks).length(catalogue.features.length - 5);
      const useful = looks.filter((look) => look.gainBits >= 0.05);
      const rates = useful.map((look) => look.gainBits / look.effort);
      expect(rates).deep.equal([...rates].sort((a, b) => b - a));
    }
    [...identifier.computePosterior().byHypothesis].forEach((p, i) => expect(p).closeTo(before[i]!, 1e-12));
  });

  it('holds nothing back where nothing is rare', () => {
    const { stop, mindChangers } = createReport(createIdentifier(catalogue), 1);
    expect(stop).deep.include({ isHeld: false, threshold: 1, settledBy: null });
    expect(stop.loss.points).equal(0);
    for (const one of mindChangers) expect(one.probability).greaterThan(0);
  });

  it('has something to say of an empty catalogue', () => {
    const { identification, looks, mindChangers } = createReport(
      createIdentifier({ features: [], measures: [], variants: [], histories: [] }),
      1,
    );
    expect(identification.noneProbability).equal(1);
    expect([...looks, ...mindChangers]).deep.equal([]);
  });
});
