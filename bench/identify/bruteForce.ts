import {
  answerAll,
  createIdentifier,
  createSeededRandom,
  identifySpecimen,
  pickOne,
  type Answer,
  type Identification,
} from '@sardonyx/core';
import { computeNextLooks } from '../../packages/core/src/identify/computeNextLooks.ts';
import { describePosterior } from '../../packages/core/src/identify/identifySpecimen.ts';
import {
  bruteForceGain,
  computeBruteForce,
  type BruteForce,
} from '../../packages/core/test/support/bruteForcePosterior.ts';
import { createRandomAnswer, createRandomCase } from '../../packages/core/test/support/identifyWorld.ts';
import {
  createNominalWorld,
  createSimulatedCatalogue,
  readWithCare,
  shuffle,
} from '../../packages/core/test/support/simulatedCatalogue.ts';
import { drawSpecimen } from '../../packages/core/src/identify/drawSpecimen.ts';
import type { Topic } from '../figure.ts';

const CATALOGUES = 200;
const SPECIMENS = 1000;

export const bruteForce: Topic = {
  names: ['identify.bruteForceMaxAbs', 'identify.sameLeader', 'identify.nextLookGain'],
  measure: () =>
    Promise.resolve([
      {
        name: 'identify.bruteForceMaxAbs',
        value: compareSmall(),
        unit: '',
        goal: { kind: 'at most', value: 1e-9 },
        yardstick: `variants, histories and quarters against a plain table, ${CATALOGUES} random small catalogues, half of them with incomplete lists, 12 answers given, changed and taken back`,
      },
      {
        name: 'identify.sameLeader',
        value: compareLeaders(),
        unit: '',
        goal: { kind: 'at least', value: 0.999 },
        yardstick: `${SPECIMENS} simulated specimens on 16 variants: the same leader as the plain table`,
      },
      {
        name: 'identify.nextLookGain',
        value: compareLooks(),
        unit: '',
        goal: { kind: 'at least', value: 0.99 },
        yardstick: `gain of the chosen look as a share of the best by the plain table, ${CATALOGUES} random small catalogues, worst of variant, date and original`,
      },
    ]),
};

function compareSmall(): number {
  let worst = 0;
  for (let seed = 1; seed <= CATALOGUES; seed++) {
    const { catalogue: whole, answers, statements } = createRandomCase(seed);
    const catalogue = seed % 2 ? whole : { ...whole, unlisted: { casting: 0.3 } };
    const slow = computeBruteForce(catalogue, answers, statements);
    if (slow) worst = Math.max(worst, distance(identifySpecimen(catalogue, answers, undefined, statements), slow));
    const dice = createSeededRandom(seed + 1000);
    const identifier = createIdentifier(catalogue);
    const given = new Map<string, Answer>();
    for (let step = 0; step < 12; step++) {
      const feature = pickOne(catalogue.features, dice);
      const answer = dice() < 0.3 ? null : createRandomAnswer(feature, dice);
      identifier.setAnswerInPlace(feature.id, answer);
      if (answer) given.set(feature.id, answer);
      else given.delete(feature.id);
    }
    const after = computeBruteForce(catalogue, [...given.values()]);
    if (after) worst = Math.max(worst, distance(describePosterior(identifier.computePosterior()), after));
  }
  return worst;
}

function distance(fast: Identification, slow: BruteForce): number {
  return Math.max(
    ...fast.ranked.map(({ variantId, probability }) => Math.abs(probability - slow.variants.get(variantId)!)),
    ...fast.histories.map(({ key, probability }) => Math.abs(probability - slow.histories.get(key)!)),
    ...slow.quarters.map((probability, q) => Math.abs(probability - fast.dateDensity[q]!)),
    Math.abs(fast.noneProbability - slow.none),
  );
}

function compareLeaders(): number {
  const believed = createSimulatedCatalogue(31, { variants: 16 });
  const { catalogue, readingRight } = createNominalWorld(believed);
  const random = createSeededRandom(31);
  let same = 0;
  for (let i = 0; i < SPECIMENS; i++) {
    const specimen = drawSpecimen(catalogue, random);
    const seen = shuffle(believed.features, random).slice(0, 1 + Math.floor(random() * 24));
    const answers = seen.map((feature) => readWithCare(specimen, feature, random, readingRight));
    const slow = computeBruteForce(believed, answers)!;
    const { ranked, noneProbability } = identifySpecimen(believed, answers);
    const best = Math.max(slow.none, ...slow.variants.values());
    const chosen = noneProbability > ranked[0]!.probability ? slow.none : slow.variants.get(ranked[0]!.variantId)!;
    if (best - chosen < 1e-12) same++;
  }
  return same / SPECIMENS;
}

function compareLooks(): number {
  let worst = 1;
  for (let seed = 1; seed <= CATALOGUES; seed++) {
    const { catalogue, answers } = createRandomCase(seed);
    const slow = computeBruteForce(catalogue, answers);
    if (!slow) continue;
    const posterior = answerAll(catalogue, answers).computePosterior();
    const untouched = catalogue.histories.find((one) => Object.values(one.rates).every((rate) => rate === 0))?.key;
    const labels = {
      variant: (cell: BruteForce['cells'][number]) => cell.variant?.id ?? 'none',
      date: (cell: BruteForce['cells'][number]) => String(cell.quarter),
      original: (cell: BruteForce['cells'][number]) => String(cell.history.key === untouched),
    };
    for (const question of ['variant', 'date', 'original'] as const) {
      const gains = computeNextLooks(posterior, question).flatMap(({ featureId, gainBits }) => {
        const feature = catalogue.features.find((candidate) => candidate.id === featureId);
        return feature ? [{ fast: gainBits, slow: bruteForceGain(slow, catalogue, feature, labels[question]) }] : [];
      });
      const best = Math.max(0, ...gains.map((gain) => gain.slow));
      if (best < 1e-9) continue;
      const chosen = gains.reduce((a, b) => (b.fast > a.fast ? b : a));
      worst = Math.min(worst, chosen.slow / best);
    }
  }
  return worst;
}
