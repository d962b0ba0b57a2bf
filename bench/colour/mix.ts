import { createSeededRandom } from '@sardonyx/core';
import {
  chooseRecipe,
  IDEAL_BENCH,
  NEED,
  ROUGH_BENCH,
  simulateMixing,
  WILD_BENCH,
  WORDS_BENCH,
  type MixingBench,
  type MixingResult,
} from '../../packages/core/test/support/simulatedMixing.ts';
import { createTarget } from '../../packages/core/test/support/simulatedShelf.ts';
import { simulateByHand } from '../../packages/core/test/support/simulatedByHand.ts';
import { median, percentile, type Topic } from '../figure.ts';
import { createColourWorld } from './world.ts';

const TARGETS = 1000;
const WORLD = `${TARGETS} colours of the shelf, need ${NEED.needMl} ml`;

export const colourMix: Topic = {
  names: [
    'colour.mixTwoPatchShare',
    'colour.mixThreePatchShare',
    'colour.mixVolumeRatioP95',
    'colour.mixFalseStops',
    'colour.mixRoughThreePatchShare',
    'colour.mixRoughVolumeRatioP95',
    'colour.mixByWordsShare',
    'colour.mixByWordsFineShare',
    'colour.mixByWordsRoughShare',
    'colour.mixNoLearningShare',
    'colour.mixByHandPatches',
    'colour.mixByHandVolumeRatio',
    'colour.wordsFalseDone',
    'colour.wordsDoneShare',
    'colour.wildFalseDone',
    'colour.wildWorstDone',
    'colour.wildDoneShare',
  ],
  measure: () => {
    const { table } = createColourWorld();
    const random = createSeededRandom(3);
    const begun = Array.from({ length: TARGETS }, () => {
      const target = createTarget(table.shelf, random);
      return { target, recipe: chooseRecipe(table, target) };
    });
    const run = (bench: MixingBench): MixingResult[] =>
      begun.map(({ target, recipe }, i) => simulateMixing(table.shelf, target, recipe, bench, i + 1));
    const ideal = run(IDEAL_BENCH);
    const rough = run(ROUGH_BENCH);
    const words = run({ ...IDEAL_BENCH, isByWords: true });
    const roughWords = run({ ...ROUGH_BENCH, isByWords: true });
    const blind = run({ ...IDEAL_BENCH, learns: false });
    const eyes = run(WORDS_BENCH);
    const wild = run(WILD_BENCH);
    const byHand = begun.map(({ target }, i) => simulateByHand(table.shelf, target, IDEAL_BENCH.strengthSd, i + 1));
    const falseStops = [...ideal, ...rough].filter((one) => one.isFalseStop).length / (2 * TARGETS);
    return Promise.resolve([
      atLeast('colour.mixTwoPatchShare', reach(ideal, 2, 1), 0.97, `within 1 by patch 2, ${WORLD}, ideal bench`),
      atLeast('colour.mixThreePatchShare', reach(ideal, 3, 1), 0.99, 'by patch 3'),
      atMost('colour.mixVolumeRatioP95', volume(ideal), 1.1, 'final volume over the need, p95'),
      atMost('colour.mixFalseStops', falseStops, 0.01, 'said good and was not, ideal and rough bench'),
      atLeast(
        'colour.mixRoughThreePatchShare',
        reach(rough, 3, 1),
        0.9,
        'rough bench: drops off by 10 %, model by 5 %',
      ),
      atMost('colour.mixRoughVolumeRatioP95', volume(rough), 1.15, 'rough bench'),
      atLeast('colour.mixByWordsShare', reach(words, 3, 2), 0.97, 'by words, within 2 by patch 3'),
      atLeast('colour.mixByWordsFineShare', reach(words, 5, 1), 0.93, 'by words, within 1 by patch 5'),
      atLeast(
        'colour.mixByWordsRoughShare',
        reach(roughWords, 5, 2),
        0.95,
        'by words on the rough bench, within 2 by patch 5',
      ),
      {
        ...atLeast('colour.mixNoLearningShare', reach(blind, 3, 1), 0, 'without learning, within 1 by patch 3'),
        goal: null,
      },
      {
        ...atLeast(
          'colour.mixByHandPatches',
          median(byHand.map((one) => one.patches)),
          0,
          'by eye without help, median patches to within 2 (25 at most)',
        ),
        goal: null,
      },
      {
        ...atLeast(
          'colour.mixByHandVolumeRatio',
          median(byHand.map((one) => one.ml / NEED.needMl)),
          0,
          'the same, volume over the need',
        ),
        goal: null,
      },
      atMost('colour.wordsFalseDone', falseShare(eyes), 0.01, `of what was called done by eye, not within 1; ${EYE}`),
      { ...atLeast('colour.wordsDoneShare', doneShare(eyes), 0, 'called done by eye within 14 looks'), goal: null },
      atMost('colour.wildFalseDone', falseShare(wild), 0.02, `of what was called done, not within 1; ${WILD}`),
      atMost('colour.wildWorstDone', worstDone(wild), 1.5, 'dE00, the worst of these'),
      { ...atLeast('colour.wildDoneShare', doneShare(wild), 0, 'called done within 14 patches'), goal: null },
    ]);
  },
};

const EYE = 'rough bench, an eye that is always off by 0.3';
const WILD = 'strengths 30 %, model 8 %, noise 0.6, drops of 0.05 ml off by 15 %';

const doneShare = (results: readonly MixingResult[]) => results.filter((one) => one.isStop).length / results.length;
const falseShare = (results: readonly MixingResult[]) =>
  results.filter((one) => one.isFalseStop).length / Math.max(1, results.filter((one) => one.isStop).length);
const worstDone = (results: readonly MixingResult[]) =>
  Math.max(0, ...results.filter((one) => one.isStop).map(({ deByPatch }) => deByPatch.at(-1)!));

const reach = (results: readonly MixingResult[], patch: number, de: number) =>
  results.filter(({ deByPatch }) => deByPatch[Math.min(patch, deByPatch.length) - 1]! <= de).length / results.length;

const volume = (results: readonly MixingResult[]) =>
  percentile(
    results.map((one) => one.finalMl / NEED.needMl),
    0.95,
  );

const atLeast = (name: string, value: number, least: number, yardstick: string) => ({
  ...{ name, value, unit: '', yardstick },
  goal: { kind: 'at least', value: least } as const,
});
const atMost = (name: string, value: number, most: number, yardstick: string) => ({
  ...{ name, value, unit: '', yardstick },
  goal: { kind: 'at most', value: most } as const,
});
