import type { IdentifyCatalogue } from '../../src/identify/catalogue.ts';
import { drawSpecimen } from '../../src/identify/drawSpecimen.ts';
import { identifySpecimen } from '../../src/identify/identifySpecimen.ts';
import { createSeededRandom } from '../../src/numeric/seededRandom.ts';
import { areaUnderCurve, Reliability } from './reliability.ts';
import { readWithCare, shuffle, type DrawnWorld } from './simulatedCatalogue.ts';

export interface Calibration {
  readonly ece: number;
  readonly eceUntouched: number;
  readonly coverage90: number;
  readonly top1: number;
  readonly alteredAuc: number;
}

/**
 * Identifies simulated specimens with `believed` that are drawn and read by `drawn`, each by a random number of looks, and
 * compares what was claimed with what was so.
 */
export function calibrate(
  specimens: number,
  seed: number,
  believed: IdentifyCatalogue,
  drawn: DrawnWorld,
): Calibration {
  const random = createSeededRandom(seed);
  const leaders = new Reliability();
  const untouched = new Reliability();
  const altered: { score: number; isTrue: boolean }[] = [];
  let covered = 0;
  let found = 0;
  for (let i = 0; i < specimens; i++) {
    const specimen = drawSpecimen(drawn.catalogue, random);
    const looks = 1 + Math.floor(random() * believed.features.length);
    const seen = shuffle(believed.features, random).slice(0, looks);
    const answers = seen.map((feature) => readWithCare(specimen, feature, random, drawn.readingRight));
    const identification = identifySpecimen(believed, answers);
    const { ranked, noneProbability, date, alteredChances, untouchedProbability } = identification;
    const isNone = noneProbability > ranked[0]!.probability;
    const isRight = isNone ? specimen.variant === null : specimen.variant?.id === ranked[0]!.variantId;
    leaders.add(isNone ? noneProbability : ranked[0]!.probability, isRight);
    untouched.add(untouchedProbability, specimen.history.key === 'untouched');
    if (isRight) found++;
    if (date.region90.some(({ fromYear, toYear }) => specimen.year >= fromYear && specimen.year < toYear)) covered++;
    for (const { id } of seen)
      altered.push({ score: alteredChances[id]!, isTrue: specimen.features.get(id)!.isAltered });
  }
  return {
    ece: leaders.error(),
    eceUntouched: untouched.error(),
    coverage90: covered / specimens,
    top1: found / specimens,
    alteredAuc: areaUnderCurve(altered),
  };
}
