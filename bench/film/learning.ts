import { computeReadyTime, learnDrying, type TouchedCoat } from '../../packages/core/src/film/learnDrying.ts';
import { drawNormal } from '../../packages/core/src/numeric/drawNormal.ts';
import { createSeededRandom, type RandomSource } from '../../packages/core/src/numeric/seededRandom.ts';
import { type Figure, type Topic } from '../figure.ts';

/** What touches teach of the next coat. */
export const filmLearning: Topic = {
  names: ['film.learnCoverage90', 'film.learnedWaitRatio', 'film.learnedWaitRatioSix'],
  measure: () => Promise.resolve(measureLearning()),
};

/** Somebody touches it now and then, more often when it should be dry. */
function touchCoat(took: number, sheetMin: number, random: RandomSource): TouchedCoat {
  let at = sheetMin * (0.3 + 0.3 * random());
  let notYetMin = 0;
  while (at < took) {
    notYetMin = at;
    at *= 1.08 + 0.12 * random();
    // An evening ends.
    if (random() < 0.02) return { notYetMin, readyMin: null };
  }
  return { notYetMin, readyMin: at };
}

function measureLearning(): Figure[] {
  const random = createSeededRandom(21);
  let [covered, all] = [0, 0];
  const ratios = new Map<number, number[]>([
    [1, []],
    [6, []],
  ]);
  for (let product = 0; product < 6000; product++) {
    const sheetMin = 20 + 1400 * random();
    const middle = sheetMin * Math.exp(0.25 * drawNormal(random));
    const takes = () => middle * Math.exp(0.2 * drawNormal(random));
    const count = product % 7;
    const coats = Array.from({ length: count }, () => touchCoat(takes(), sheetMin, random));
    const learned = learnDrying(sheetMin, coats);
    const next = takes();
    all++;
    if (next <= computeReadyTime(learned, 0.9)) covered++;
    ratios.get(count)?.push(computeReadyTime(learned, 0.95) / next);
  }
  const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length;
  return [
    {
      ...{
        name: 'film.learnCoverage90',
        value: covered / all,
        unit: '',
        goal: { kind: 'within', least: 0.885, most: 0.915 },
      },
      yardstick: `the next coat was dry by the time that is 90 % sure, ${all} products after 0 to 6 touched coats`,
    },
    {
      ...{
        name: 'film.learnedWaitRatio',
        value: mean(ratios.get(1)!),
        unit: '',
        goal: { kind: 'at most', value: 1.8 },
      },
      yardstick: '"95 % sure dry by" over the time it took, after one coat',
    },
    {
      ...{
        name: 'film.learnedWaitRatioSix',
        value: mean(ratios.get(6)!),
        unit: '',
        goal: { kind: 'at most', value: 1.55 },
      },
      yardstick: 'after six coats',
    },
  ];
}
