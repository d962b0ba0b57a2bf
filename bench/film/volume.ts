import { COATING, COATING_WAYS, computeVolume, SOLIDS } from '../../packages/core/src/film/computeVolume.ts';
import { drawNormal } from '../../packages/core/src/numeric/drawNormal.ts';
import { createSeededRandom, type RandomSource } from '../../packages/core/src/numeric/seededRandom.ts';
import { type Figure, type Topic } from '../figure.ts';

/** Paint to pour, against factors that are drawn otherwise than the program reckons. */
export const filmVolume: Topic = {
  names: ['film.volumeUpper90', 'film.volumeSymmetric90'],
  measure: () => Promise.resolve(measureVolume()),
};

const JOBS = 200;
const DRAWS = 2000;

/** Numbers of a mean and a spread: of a normal that is cut off at nothing, of a log-normal, or even between two ends. */
function createDraw(mean: number, relativeSd: number, random: RandomSource): () => number {
  const kind = Math.floor(3 * random());
  if (kind === 0) return () => Math.max(0.05 * mean, mean * (1 + relativeSd * drawNormal(random)));
  const variance = Math.log(1 + relativeSd ** 2);
  if (kind === 1) return () => mean * Math.exp(Math.sqrt(variance) * drawNormal(random) - variance / 2);
  return () => mean * (1 + relativeSd * Math.sqrt(12) * (random() - 0.5));
}

function measureVolume(): Figure[] {
  const random = createSeededRandom(18);
  let [enough, symmetric] = [0, 0];
  for (let job = 0; job < JOBS; job++) {
    const way = COATING_WAYS[Math.floor(3 * random())]!;
    const area = { value: 10 + 190 * random(), relativeSd: 0.03 + 0.25 * random() };
    const solids = Object.values(SOLIDS)[Math.floor(4 * random())]!;
    const plan = {
      ...{ area, way, solids, filmUm: 8 + 30 * random(), coats: 1 + Math.floor(4 * random()) },
      ...{ thinner: 1.5 * random(), fillings: 1 + Math.floor(2 * random()) },
    };
    const { ml, sd, upper90 } = computeVolume(plan);
    const { transfer, lossMl } = COATING[way];
    const draw = (one: { readonly value: number; readonly relativeSd: number }) =>
      createDraw(one.value, one.relativeSd, random);
    const [ofArea, ofSolids, ofTransfer, ofLoss] = [draw(area), draw(solids), draw(transfer), draw(lossMl)];
    const ofFilm = createDraw(plan.filmUm, 0.2, random);
    for (let i = 0; i < DRAWS; i++) {
      const laid = (ofArea() * ofFilm() * plan.coats * 1e-4) / (ofSolids() * ofTransfer());
      const needed = laid + (plan.fillings * ofLoss()) / (1 + plan.thinner);
      if (needed <= upper90) enough++;
      if (needed <= ml + 1.2815515655446 * sd) symmetric++;
    }
  }
  const all = JOBS * DRAWS;
  return [
    {
      ...{
        name: 'film.volumeUpper90',
        value: enough / all,
        unit: '',
        goal: { kind: 'within', least: 0.885, most: 0.915 },
      },
      yardstick: `"pour this" was enough, ${JOBS} jobs x ${DRAWS} draws of normal, log-normal and even factors`,
    },
    {
      name: 'film.volumeSymmetric90',
      value: symmetric / all,
      unit: '',
      goal: null,
      yardstick: 'mean and 1.28 sd instead',
    },
  ];
}
